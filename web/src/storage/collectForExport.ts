import type { FrameColumns } from '@inner-hum/core/hearing';
import type { HornId } from '@inner-hum/core/horn';
import { database } from './database.ts';
import { isListed } from './listed.ts';
import { AFTER_EVERY_DAY } from './moment.ts';
import type { SoundRecord, TakeRecord } from './records.ts';
import type { SmallTable } from './tables.ts';
import { takesWithin } from './takesOn.ts';
import { packSound, storedSound } from './sounds.ts';

/** Which part of everything is to be taken along. */
export interface Choice {
  /** First and last day, `yyyy-MM-dd`; null: no limit. */
  from: string | null;
  to: string | null;
  hornId: HornId | null;
  sound: boolean;
  /** A report on a task: its takes alone, and what they are read by. */
  report?: { taskId: string; by: string; shelf: readonly string[] } | null | undefined;
}

export const EVERYTHING: Choice = { from: null, to: null, hornId: null, sound: true };

const isWithin = (day: string, { from, to }: Choice) =>
  (from === null || day >= from) && (to === null || day <= to);

/** A take that goes along. */
export interface ChosenTake extends Pick<TakeRecord, 'id' | 'day' | 'roundId'> {
  /** Letters that the player wrote on it: another number is another text. */
  letters: number;
}

/** The takes of a choice, in the order they were played. */
export async function collectTakes(choice: Choice): Promise<ChosenTake[]> {
  const found: ChosenTake[] = [];
  await takesWithin(choice.from ?? '', choice.to ?? AFTER_EVERY_DAY).each((take) => {
    const isOfReport = !choice.report || choice.report.shelf.includes(take.keys?.shelf ?? '');
    if (isListed(take) && isOfReport && (!choice.hornId || take.hornId === choice.hornId))
      found.push({
        id: take.id,
        day: take.day,
        roundId: take.roundId,
        letters: (take.playerNote as string | undefined)?.length ?? 0,
      });
  });
  return found;
}

/**
 * What goes along with everything and belongs to no day: takes that no day finds, and rows that were put aside because they
 * could not be read.
 */
export async function collectUnplaced(
  choice: Choice,
  found: readonly Pick<TakeRecord, 'id'>[],
): Promise<{ table: string; row: unknown }[]> {
  if (!isWhole(choice)) return [];
  const db = database();
  const placed = new Set(found.map(({ id }) => id));
  const ids = await db.takes.toCollection().primaryKeys();
  const others = await db.takes.bulkGet(ids.filter((id) => !placed.has(id)));
  const aside = await db.quarantine.toArray();
  return [
    // A row that misses what says so is not deleted.
    ...others.flatMap((row) =>
      row && row.state !== 'recording' && !row.deletedAt ? [{ table: 'takes', row }] : [],
    ),
    ...aside.map((row) => ({ table: 'quarantine', row })),
  ];
}

/** Everything of one take; null where it has gone meanwhile. */
export interface CollectedTake {
  record: TakeRecord;
  columns: FrameColumns | null;
  sound: SoundRecord | null;
}

export async function collectTake(id: string, withSound: boolean): Promise<CollectedTake | null> {
  const db = database();
  const stored = await db.takes.get(id);
  if (!stored) return null;
  // What it is found by here is made anew wherever it comes back.
  const { keys: _, ...record } = stored;
  const columns = (await db.frames.get(id))?.columns ?? null;
  const { sound, samples } = withSound ? await storedSound(id) : { sound: undefined, samples: null };
  if (sound) return { record, columns, sound };
  if (!samples) return { record, columns, sound: null };
  return { record, columns, sound: await packSound(id, record.sampleRateHz, samples) };
}

interface AnyRow {
  hornId?: HornId;
  day?: string;
  id?: string;
  takeId?: string;
  deletedAt?: number | null;
}

/** What a report takes along beside its takes, task and exercises: what they are read by, and nothing else of the player's. */
const OF_REPORT: readonly SmallTable[] = [
  'settings',
  'calibrations',
  'mouthpieces',
  'rounds',
  'performances',
];

function isOfReport(
  table: SmallTable,
  row: AnyRow,
  { taskId, shelf }: NonNullable<Choice['report']>,
): boolean {
  if (table === 'tasks') return row.id === taskId;
  if (table === 'exercises') return shelf.includes(`own.${row.id}`);
  return OF_REPORT.includes(table);
}

/** Whether a row goes along: what belongs to a take, a day or a horn goes with it, everything else always. */
function isChosen(
  table: SmallTable,
  row: AnyRow,
  choice: Choice,
  of: { takes: Set<string>; rounds: Set<string> },
) {
  if (row.deletedAt) return false;
  if (choice.report && !isOfReport(table, row, choice.report)) return false;
  if (choice.hornId && row.hornId && row.hornId !== choice.hornId) return false;
  if (row.day !== undefined && !isWithin(row.day, choice)) return false;
  if (table === 'performances') return of.takes.has(row.takeId ?? '');
  if (table === 'rounds') return isWhole(choice) || of.rounds.has(row.id ?? '');
  return true;
}

/** Whether a choice leaves nothing out. */
export const isWhole = (choice: Choice) =>
  choice.from === null && choice.to === null && choice.hornId === null && choice.sound && !choice.report;

/** The rows of a table that belong to a choice; `of` are the takes that do. */
export async function collectRows(
  table: SmallTable,
  choice: Choice,
  of: readonly Pick<TakeRecord, 'id' | 'roundId'>[],
): Promise<object[]> {
  const takes = new Set(of.map(({ id }) => id));
  const rounds = new Set(of.flatMap(({ roundId }) => roundId ?? []));
  const rows = (await database().table(table).toArray()) as AnyRow[];
  return rows.filter((row) => isChosen(table, row, choice, { takes, rounds }));
}
