import type { FindingKind } from '../judge/index.ts';
import { NO_ANSWER, type Answers } from './answer.ts';
import { hasFound, JUMPED, nameOf, notesIn, type PlayedNote } from './played.ts';
import type { Statement } from './statement.ts';
import { toneless } from './tones.ts';

const SILENT: readonly FindingKind[] = ['missed', 'onlySquawk', 'wrongNote'];
/** So many notes that jump are named. */
const NAMED = 3;

const hasSpoken = (note: PlayedNote) => note.measures !== null && !hasFound(note, ...JUMPED, ...SILENT);

/** The same notes tongued and slurred: how often each way speaks at once, and which notes jump. */
export const twoWaysAnswer: Answers = (takes) => {
  const notes = notesIn(takes);
  // The first note of a slurred line is begun as one likes; it belongs to its line.
  const isTongued = ({ take }: PlayedNote) =>
    notes.some((other) => other.take === take && other.written.attack === 'tongued');
  const way = (tongued: boolean) => {
    const own = notes.filter((note) => isTongued(note) === tongued);
    return { clean: own.filter(hasSpoken).length, of: own.length };
  };
  const [tongued, slurred] = [way(true), way(false)];
  if (tongued.of + slurred.of === 0) return NO_ANSWER;
  const statements: Statement[] = [];
  if (tongued.of > 0) statements.push({ kind: 'spokeTongued', ...tongued });
  if (slurred.of > 0) statements.push({ kind: 'spokeSlurred', ...slurred });
  const jumped = notes.filter((note) => hasFound(note, ...JUMPED));
  const often = (midi: number) => jumped.filter(({ written }) => written.writtenMidi === midi).length;
  const names = [...new Set(jumped.map(({ written }) => written.writtenMidi))]
    .toSorted((a, b) => often(b) - often(a) || a - b)
    .slice(0, NAMED);
  if (names.length > 0)
    statements.push({
      kind: 'jumped',
      list: names.flatMap((midi) => {
        const note = jumped.find(({ written }) => written.writtenMidi === midi);
        return note ? [nameOf(note.written)] : [];
      }),
      count: names.length,
    });
  return { statements, tells: [...JUMPED, ...SILENT] };
};

/** A line of subtones: up to which note it is one, and from which it is none; how often it was begun by the tongue. */
export const subtoneLineAnswer: Answers = (takes) => {
  const tones = notesIn(takes).filter(({ written }) => written.tone === 'subtone');
  const heard = tones.filter(({ measures }) => measures?.subtone);
  if (heard.length === 0) return NO_ANSWER;
  const pitches = [...new Set(heard.map(({ written }) => written.writtenMidi))].toSorted((a, b) => a - b);
  const share = (midi: number) => {
    const same = heard.filter(({ written }) => written.writtenMidi === midi);
    return same.filter(({ measures }) => measures?.subtone?.kind === 'subtone').length / same.length;
  };
  const whole = pitches.findIndex((midi) => share(midi) < 1);
  const lost = pitches.findLastIndex((midi) => share(midi) > 0) + 1;
  const named = (midi: number) =>
    toneless((heard.find(({ written }) => written.writtenMidi === midi) ?? heard[0]).written);
  const statements: Statement[] = [];
  if (whole === -1) statements.push({ kind: 'subtoneAll' });
  else if (lost === 0) statements.push({ kind: 'subtoneNone' });
  else {
    if (whole > 0) statements.push({ kind: 'subtoneTo', note: named(pitches[whole - 1]) });
    if (lost > Math.max(0, whole)) statements.push({ kind: 'halfTo', note: named(pitches[lost - 1]) });
    if (lost < pitches.length) statements.push({ kind: 'lostFrom', note: named(pitches[lost]) });
  }
  const starts = tones.filter(({ written }) => written.attack === 'breath');
  const count = starts.filter((note) => hasFound(note, 'byTongue')).length;
  if (count > 0) statements.push({ kind: 'byTongue', count, of: starts.length });
  return { statements, tells: ['stillFull', 'weakTone', 'subtone', 'byTongue'] };
};
