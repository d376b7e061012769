import { spokeAsWritten } from '../judge/index.ts';
import { NO_ANSWER, type Answers } from './answer.ts';
import { measured, nameOf, notesIn } from './played.ts';
import type { Statement } from './statement.ts';

/** What speaks: how much of what was asked, from where to where, and how far apart soft and loud are. */
export const hearingAnswer: Answers = (takes) => {
  const notes = notesIn(takes);
  const spoken = notes.filter(({ measures }) => spokeAsWritten(measures?.centsMean ?? null));
  if (spoken.length === 0) return NO_ANSWER;
  const sorted = spoken
    .filter(({ written }) => written.fingered === null)
    .toSorted((a, b) => a.written.writtenMidi - b.written.writtenMidi);
  const statements: Statement[] = [];
  if (spoken.length < notes.length)
    statements.push({ kind: 'spokeOf', clean: spoken.length, of: notes.length });
  const [low, high] = [sorted.at(0), sorted.at(-1)];
  if (low && high && low.written.writtenMidi < high.written.writtenMidi)
    statements.push({ kind: 'rangeSpoken', low: nameOf(low.written), high: nameOf(high.written) });
  const spans = measured(spoken, ({ written, measures }) =>
    written.dynamics.length > 2 ? measures?.dynamicSpanDb : null,
  );
  if (spans.length > 0) statements.push({ kind: 'softToLoud', db: Math.max(...spans) });
  return { statements, tells: ['missed'] };
};
