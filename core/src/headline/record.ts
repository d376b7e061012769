import { familyOf, secondsPerBeat, type HeadlineId, type NoteItem } from '../exercise/index.ts';
import { clicksIn } from './holds.ts';
import { fallOf } from './swells.ts';
import { bentCents, most, nameOf, notesIn, type PlayedNote, type PlayedTake } from './played.ts';
import type { Statement } from './statement.ts';

/** What a take came to in the one figure of its drill that is worth comparing: of which note, and whether more of it is better. */
export interface DrillRecord {
  note: NoteItem;
  value: number;
  wants: 'more' | 'less';
}

interface RecordRow {
  wants: 'more' | 'less';
  /** As it is told, in an exercise of this tempo; `digits`: decimals. */
  told(value: number, secondsPerBeat: number): number;
  digits: number;
  of(notes: readonly PlayedNote[]): { note: PlayedNote; value: number | null } | null;
}

const best = (
  notes: readonly PlayedNote[],
  figure: (note: PlayedNote) => number | null | undefined,
  wants: 'more' | 'less' = 'more',
) => {
  const note = most(notes, (each) => {
    const value = figure(each);
    return typeof value === 'number' ? (wants === 'more' ? value : -value) : null;
  });
  return note && { note, value: figure(note) ?? null };
};
const plain = (value: number) => value;

/** The drills whose answer is compared with what was played before, a row each. */
const RECORDS: Partial<Record<HeadlineId, RecordRow>> = {
  hold: {
    wants: 'more',
    digits: 0,
    told: (seconds, beat) => clicksIn(seconds / beat),
    of: (notes) =>
      best(
        notes.filter(({ written }) => written.open),
        ({ measures }) => measures?.holdSeconds,
      ),
  },
  descent: {
    wants: 'more',
    digits: 0,
    told: plain,
    of: (notes) => {
      const note = notes.at(-1);
      return note ? { note, value: fallOf(notes) } : null;
    },
  },
  match: {
    wants: 'less',
    digits: 1,
    told: plain,
    of: (notes) => best(notes, ({ measures }) => measures?.matchDb, 'less'),
  },
  bend: {
    wants: 'more',
    digits: 0,
    told: plain,
    of: (notes) => best(notes, ({ measures }) => bentCents(measures)),
  },
};

const rowOf = (exercise: PlayedTake['exercise']): RecordRow | null =>
  RECORDS[familyOf(exercise)?.headline ?? 'line'] ?? null;

/** What a take came to in the figure that its drill is compared by; null where there is none. */
export function recordOf(take: PlayedTake): DrillRecord | null {
  const row = rowOf(take.exercise);
  const found = row?.of(notesIn([take]));
  return row && found && typeof found.value === 'number'
    ? { note: found.note.written, value: found.value, wants: row.wants }
    : null;
}

/** What was played before on the same note of the same drill, oldest first. */
export type Past = readonly number[];

/** Takes are compared with what was before them: the last time, and the best so far. */
export function comparedWith(take: PlayedTake, { note, value }: DrillRecord, past: Past): Statement[] {
  const row = rowOf(take.exercise);
  const last = past.at(-1);
  if (!row || last === undefined) return [];
  const told = (each: number) => row.told(each, secondsPerBeat(take.exercise));
  const { digits } = row;
  const round = (each: number) => Number(told(each).toFixed(digits));
  const bestBefore = row.wants === 'more' ? Math.max(...past) : Math.min(...past);
  const isBest = row.wants === 'more' ? round(value) > round(bestBefore) : round(value) < round(bestBefore);
  const statements: Statement[] = [{ kind: 'lastTime', figure: told(last), digits }];
  if (isBest) statements.push({ kind: 'isBest' });
  else if (round(bestBefore) !== round(last))
    statements.push({ kind: 'best', figure: told(bestBefore), digits, note: nameOf(note) });
  return statements;
}

/** The best of several, as their drill counts it; null for none. */
export function bestRecord(takes: readonly PlayedTake[]): { take: PlayedTake; record: DrillRecord } | null {
  const all = takes.flatMap((take) => {
    const record = recordOf(take);
    return record ? [{ take, record }] : [];
  });
  return most(all, ({ record: { value, wants } }) => (wants === 'more' ? value : -value));
}
