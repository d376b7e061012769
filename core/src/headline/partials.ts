import type { FindingKind } from '../judge/index.ts';
import { median } from '../stats/index.ts';
import { NO_ANSWER, type Answers } from './answer.ts';
import { hasFound, measured, most, nameOf, notesIn, type PlayedNote } from './played.ts';
import type { SlurWay, Statement } from './statement.ts';

/** What makes a change from one note to the next audible. */
const CHANGE_FAULTS: readonly FindingKind[] = [
  'missed',
  'wrongNote',
  'lowPartial',
  'highPartial',
  'fellBack',
  'jump',
  'gap',
  'slurGap',
  'slowSlur',
  'overshoot',
  'firstPartial',
  'crack',
  'restart',
  'breath',
  'gapBreath',
  'onlySquawk',
];
/** What sounded was not the note. */
const NOT_SPOKEN: readonly FindingKind[] = [
  'missed',
  'onlySquawk',
  'wrongNote',
  'lowPartial',
  'highPartial',
  'fellBack',
];
const isOvertone = ({ written }: PlayedNote) =>
  written.fingered !== null && written.fingered !== written.writtenMidi;

type Change = readonly [PlayedNote, PlayedNote];

/** How a drill moves from note to note: down or up one tube, from one fingering of a pitch to another, or over fingers. */
function wayOf(changes: readonly Change[]): SlurWay {
  const steps = changes.map(([from, to]) => to.written.writtenMidi - from.written.writtenMidi);
  if (steps.every((step) => step === 0)) return 'changed';
  const tube = ({ written }: PlayedNote) => written.fingered ?? written.writtenMidi;
  if (!changes.every(([from, to]) => tube(from) === tube(to))) return 'moved';
  return steps[0] < 0 ? 'fell' : 'climbed';
}

/** Note to note in one tone: how many changes were seamless, and which overtone took longest to stand clear. */
export const slursAnswer: Answers = (takes) => {
  const notes = notesIn(takes);
  const changes = notes.flatMap((note, i): Change[] =>
    i > 0 && notes[i - 1].take === note.take ? [[notes[i - 1], note]] : [],
  );
  if (changes.length === 0) return NO_ANSWER;
  const clean = changes.filter(([, to]) => !hasFound(to, ...CHANGE_FAULTS)).length;
  const statements: Statement[] = [{ kind: 'slurred', way: wayOf(changes), clean, of: changes.length }];
  const slowest = most(notes.filter(isOvertone), ({ measures }) => measures?.clearSeconds);
  if (typeof slowest?.measures?.clearSeconds === 'number')
    statements.push({
      kind: 'slowestClear',
      note: nameOf(slowest.written),
      seconds: slowest.measures.clearSeconds,
    });
  return { statements, tells: [] };
};

/** Straight to one note, again and again: how often it spoke, how the first try went, what sounded instead. */
export const hitsAnswer: Answers = (takes) => {
  const all = notesIn(takes);
  const target = all.at(-1)?.written;
  const tries = all.filter(
    ({ written }) => written.writtenMidi === target?.writtenMidi && written.fingered === target.fingered,
  );
  if (tries.length === 0) return NO_ANSWER;
  const spoke = tries.filter((note) => note.measures !== null && !hasFound(note, ...NOT_SPOKEN));
  const statements: Statement[] = [{ kind: 'spokeOf', clean: spoke.length, of: tries.length }];
  const [first] = tries;
  const seconds = first.measures?.clearSeconds;
  if (spoke.includes(first) && typeof seconds === 'number')
    statements.push({ kind: 'firstTry', seconds, of: tries.length });
  const cents = median(measured(spoke, ({ measures }) => measures?.centsMean));
  if (cents !== null) statements.push({ kind: 'pitch', cents });
  const instead = tries.flatMap((note) =>
    hasFound(note, 'lowPartial', 'highPartial', 'fellBack') && note.heard.heardPartial
      ? [note.heard.heardPartial]
      : [],
  );
  const partial = most([...new Set(instead)], (each) => instead.filter((other) => other === each).length);
  if (partial !== null)
    statements.push({
      kind: 'insteadPartial',
      partial,
      count: instead.filter((each) => each === partial).length,
    });
  const squawks = tries.filter((note) => hasFound(note, 'onlySquawk', 'squawk')).length;
  if (squawks > 0) statements.push({ kind: 'squawks', count: squawks });
  return { statements, tells: [...NOT_SPOKEN, 'squawk'] };
};
