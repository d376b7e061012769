import type { Transaction } from 'dexie';
import { practiceOfTakes } from './practiceRecords.ts';
import { daysOfTakes } from './dayRecords.ts';
import type { HornCheckRecord, MouthpieceRecord, ReedRecord } from './gearRecords.ts';
import { joinTexts, newer } from './mergeTexts.ts';
import type {
  AimRecord,
  CalibrationRecord,
  ChunkRecord,
  DayNoteRecord,
  FolderRecord,
  FramesRecord,
  HighFingeringRecord,
  OwnExercise,
  PerformanceRecord,
  PracticeDayRecord,
  RoundRecord,
  QuarantineRecord,
  SheetRecord,
  SoundRecord,
  TakeRecord,
  TaskRecord,
  TendencyDayRecord,
  TrialRecord,
} from './records.ts';
import type { SettingsRecord } from './settingsRecord.ts';
import { aside, own, type TableRow } from './tableRow.ts';
import * as up from './upgrades.ts';

/** What is made of takes in one upgrade is made of one reading: years of them are much. */
const readings = new WeakMap<Transaction, PromiseLike<TakeRecord[]>>();
function allTakes(transaction: Transaction): PromiseLike<TakeRecord[]> {
  const reading = readings.get(transaction) ?? transaction.table<TakeRecord>('takes').toArray();
  readings.set(transaction, reading);
  return reading;
}

/** Every table of the database, a row each, in the order in which they are written into an archive. */
export const TABLES = {
  settings: own<SettingsRecord>({ schema: { 1: 'id' }, upgrades: { 6: [up.giveReadAt] } }),
  calibrations: own<CalibrationRecord>({ schema: { 1: 'id, madeAt' } }),
  takes: own<TakeRecord>({
    schema: {
      1: 'id, state, startedAt',
      4: 'id, state, startedAt, roundId',
      9: [
        'id, state, startedAt, roundId, [day+startedAt], hornId, deletedAt, keys.noted',
        'keys.note, [keys.note+startedAt], keys.shelf, [keys.shelf+startedAt], [keys.judged+startedAt]',
      ].join(', '),
      11: [
        'id, state, startedAt, roundId, [day+startedAt], hornId, deletedAt, keys.noted',
        'keys.note, [keys.note+startedAt], keys.shelf, [keys.shelf+startedAt], [keys.judged+startedAt]',
        '[keys.record+startedAt+keys.figure]',
      ].join(', '),
    },
    upgrades: {
      2: [up.giveNoteMeasures],
      3: [up.giveResponse],
      4: [up.giveItems],
      6: [up.giveMouthpiece],
      8: [up.giveReed],
      9: [up.giveWallClock, up.giveKeys],
      10: [up.nameFigures, up.cleanFigures, up.renewLanguage],
      11: [up.giveKeys],
    },
    merge: (ours, theirs) => ({
      ...ours,
      playerNote: joinTexts(ours.playerNote, theirs.playerNote),
      call: ours.call ?? theirs.call,
      // Whoever brings a take back wants to have it.
      deletedAt: theirs.deletedAt === null ? null : ours.deletedAt,
    }),
  }),
  chunks: aside<ChunkRecord>({ schema: { 1: '[takeId+index], takeId' }, ofTake: 'takeId' }),
  frames: aside<FramesRecord>({
    schema: { 1: 'takeId' },
    upgrades: { 3: [up.giveNewColumns], 10: [up.nameColumns] },
    ofTake: 'takeId',
  }),
  sounds: aside<SoundRecord>({ schema: { 9: 'takeId' }, ofTake: 'takeId' }),
  rounds: own<RoundRecord>({ schema: { 4: 'id, startedAt' }, upgrades: { 10: [up.renewExercise] } }),
  exercises: own<OwnExercise>({
    schema: { 5: 'id, createdAt' },
    upgrades: { 10: [up.renewExercise] },
    merge: newer,
  }),
  mouthpieces: own<MouthpieceRecord>({ schema: { 6: 'id, hornId' } }),
  highFingerings: own<HighFingeringRecord>({ schema: { 6: 'id, mouthpieceId' }, merge: newer }),
  sheets: own<SheetRecord>({
    schema: { 7: 'day' },
    // A sheet of before could not say what it was planned from.
    made: { 8: (transaction) => transaction.table('sheets').clear() },
  }),
  reeds: own<ReedRecord>({
    schema: { 8: 'id, hornId' },
    merge: (ours, theirs) => ({
      ...ours,
      retiredAt: ours.retiredAt ?? theirs.retiredAt,
      remarks: [
        ...ours.remarks,
        ...theirs.remarks.filter(
          ({ at, text }) => !ours.remarks.some((each) => each.at === at && each.text === text),
        ),
      ].toSorted((a, b) => a.at - b.at),
    }),
  }),
  hornChecks: own<HornCheckRecord>({ schema: { 8: 'id, hornId, day' } }),
  dayNotes: own<DayNoteRecord>({
    schema: { 8: 'day' },
    merge: (ours, theirs) => ({
      ...ours,
      text: joinTexts(ours.text, theirs.text),
      temperatureC: ours.temperatureC ?? theirs.temperatureC,
    }),
  }),
  performances: own<PerformanceRecord>({ schema: { 8: 'takeId' }, ofTake: 'takeId' }),
  trials: own<TrialRecord>({
    schema: { 8: 'id' },
    upgrades: { 10: [up.nameTrialFigure], 12: [up.giveAttacks] },
  }),
  aims: own<AimRecord>({
    schema: { 8: 'id' },
    upgrades: { 10: [up.nameAimFigure] },
    merge: (ours, theirs) => ({ ...ours, doneAt: ours.doneAt ?? theirs.doneAt }),
  }),
  tasks: own<TaskRecord>({
    schema: { 13: 'id' },
    merge: (ours, theirs) => ({ ...ours, doneAt: ours.doneAt ?? theirs.doneAt }),
  }),
  tendencyDays: aside<TendencyDayRecord>({
    schema: { 7: 'id, setup, [setup+source+day]' },
    made: {
      10: async (transaction) => {
        await transaction.table('tendencyDays').clear();
        await transaction.table('tendencyDays').bulkPut(daysOfTakes(await allTakes(transaction)));
      },
    },
  }),
  practiceDays: aside<PracticeDayRecord>({
    schema: { 8: 'id, day' },
    made: {
      // Of version 11 are the figures from `caughtDb` on.
      11: async (transaction) => {
        await transaction.table('practiceDays').clear();
        await transaction.table('practiceDays').bulkPut(practiceOfTakes(await allTakes(transaction)));
      },
    },
  }),
  quarantine: aside<QuarantineRecord>({
    schema: { 10: 'id' },
    made: {
      10: async (transaction) => {
        const rows = await transaction.table('setAside').toArray();
        const named = rows.map(({ setAsideAt: quarantinedAt, ...row }) => ({ ...row, quarantinedAt }));
        await transaction.table('quarantine').bulkPut(named);
      },
    },
  }),
  folders: aside<FolderRecord>({ schema: { 9: 'id' } }),
} as const;

type Tables = typeof TABLES;
export type TableName = keyof Tables;
export type RowOf<Name extends TableName> = Tables[Name] extends TableRow<infer Row, boolean> ? Row : never;

/** Tables whose rows are the player's. */
export type OwnTable = { [Name in TableName]: Tables[Name]['isOwn'] extends true ? Name : never }[TableName];
/** Every such table but the takes, whose rows come with sound and frames. */
export type SmallTable = Exclude<OwnTable, 'takes'>;

export const TABLE_NAMES = Object.keys(TABLES) as TableName[];
export const OWN_TABLES = TABLE_NAMES.filter((name): name is OwnTable => TABLES[name].isOwn);
export const SMALL_TABLES = OWN_TABLES.filter((name): name is SmallTable => name !== 'takes');

/** Tables that there were: the versions that made them, and the one that did away with them. */
export const FORMER_TABLES: Readonly<Record<string, Readonly<Record<number, string | null>>>> = {
  setAside: { 9: 'id', 10: null },
};

/** A table's row, where the compiler does not know which. */
export const tableRow = (name: TableName) => TABLES[name] as unknown as TableRow<never, boolean>;

const versionsOf = ({ schema, upgrades = {}, made = {} }: TableRow<never, boolean>) =>
  [schema, upgrades, made].flatMap((each) => Object.keys(each).map(Number));

/** The version that this app writes: the newest that any table has. */
export const DATABASE_VERSION = Math.max(...TABLE_NAMES.flatMap((name) => versionsOf(tableRow(name))));

/** What a row of a table is known by. */
export function keyOfRow(name: OwnTable, row: object): string {
  const [key] = Object.values(tableRow(name).schema).at(-1)?.split(', ') ?? [];
  return (row as Record<string, string>)[key ?? 'id'];
}

/** The row that is kept where one of a key is here and another comes. */
export const mergeRow = (name: OwnTable, ours: object, theirs: object): object =>
  tableRow(name).merge?.(ours as never, theirs as never) ?? ours;

/** Brings one row, as some version wrote it, up to date in place. */
export function upgradeRow(name: TableName, row: object, fromVersion: number): void {
  for (const [version, changes] of Object.entries(tableRow(name).upgrades ?? {}))
    if (Number(version) > fromVersion) for (const change of changes) change(row as never);
}
