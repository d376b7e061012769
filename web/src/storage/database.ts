import Dexie, { type DexieOptions, type Table } from 'dexie';
import {
  giveItems,
  giveMouthpiece,
  giveNewColumns,
  giveNoteMeasures,
  giveReadAt,
  giveReed,
  giveResponse,
} from './upgrades.ts';
import { daysOfTakes } from './dayRecords.ts';
import { practiceOfTakes } from './practiceRecords.ts';
import type {
  AimRecord,
  CalibrationRecord,
  ChunkRecord,
  DayNoteRecord,
  FramesRecord,
  HighFingeringRecord,
  HornCheckRecord,
  MouthpieceRecord,
  OwnExercise,
  PerformanceRecord,
  PracticeDayRecord,
  ReedRecord,
  RoundRecord,
  SheetRecord,
  TakeRecord,
  TendencyDayRecord,
  TrialRecord,
} from './records.ts';
import type { SettingsRecord } from './settingsRecord.ts';

/** A change adds a `version(n)` with its upgrade; nothing here is ever edited in place. */
class InnerHumDatabase extends Dexie {
  takes!: Table<TakeRecord, string>;
  chunks!: Table<ChunkRecord, [string, number]>;
  frames!: Table<FramesRecord, string>;
  settings!: Table<SettingsRecord, string>;
  calibrations!: Table<CalibrationRecord, string>;
  rounds!: Table<RoundRecord, string>;
  exercises!: Table<OwnExercise, string>;
  mouthpieces!: Table<MouthpieceRecord, string>;
  highFingerings!: Table<HighFingeringRecord, string>;
  tendencyDays!: Table<TendencyDayRecord, string>;
  sheets!: Table<SheetRecord, string>;
  practiceDays!: Table<PracticeDayRecord, string>;
  reeds!: Table<ReedRecord, string>;
  hornChecks!: Table<HornCheckRecord, string>;
  dayNotes!: Table<DayNoteRecord, string>;
  performances!: Table<PerformanceRecord, string>;
  trials!: Table<TrialRecord, string>;
  aims!: Table<AimRecord, string>;

  constructor(name: string, options?: DexieOptions) {
    super(name, options);
    this.version(1).stores({
      takes: 'id, state, startedAt',
      chunks: '[takeId+index], takeId',
      frames: 'takeId',
      settings: 'id',
      calibrations: 'id, madeAt',
    });
    this.version(2)
      .stores({})
      .upgrade((transaction) => transaction.table('takes').toCollection().modify(giveNoteMeasures));
    this.version(3)
      .stores({})
      .upgrade(async (transaction) => {
        await transaction.table('frames').toCollection().modify(giveNewColumns);
        await transaction.table('takes').toCollection().modify(giveResponse);
      });
    this.version(4)
      .stores({ takes: 'id, state, startedAt, roundId', rounds: 'id, startedAt' })
      .upgrade((transaction) => transaction.table('takes').toCollection().modify(giveItems));
    this.version(5).stores({ exercises: 'id, createdAt' });
    this.version(6)
      .stores({ mouthpieces: 'id, hornId', highFingerings: 'id, mouthpieceId' })
      .upgrade(async (transaction) => {
        await transaction.table('takes').toCollection().modify(giveMouthpiece);
        await transaction.table('settings').toCollection().modify(giveReadAt);
      });
    this.version(7)
      .stores({ tendencyDays: 'id, setup, [setup+source+day]', sheets: 'day' })
      .upgrade(async (transaction) => {
        const takes = await transaction.table<TakeRecord>('takes').toArray();
        await transaction.table('tendencyDays').bulkPut(daysOfTakes(takes));
      });
    this.version(8)
      .stores({
        practiceDays: 'id, day',
        reeds: 'id, hornId',
        hornChecks: 'id, hornId, day',
        dayNotes: 'day',
        performances: 'takeId',
        trials: 'id',
        aims: 'id',
      })
      .upgrade(async (transaction) => {
        await transaction.table('takes').toCollection().modify(giveReed);
        await transaction.table('sheets').clear();
        const takes = await transaction.table<TakeRecord>('takes').toArray();
        await transaction.table('practiceDays').bulkPut(practiceOfTakes(takes));
      });
  }
}

let opened: InnerHumDatabase | null = null;

/** `memory`: the browser refuses to store anything; what is read and written lives as long as the page. */
export type StorageKind = 'kept' | 'memory';

/**
 * Opens the database of this origin for the page, and says what was to be had. Rejects with `VersionError` where a
 * newer version of the app has written the database: its takes must not seem to be gone.
 */
export async function openStorage(name: string): Promise<StorageKind> {
  openDatabase(name);
  try {
    await database().open();
    return 'kept';
  } catch (error) {
    if (error instanceof Dexie.VersionError) throw error;
    const { indexedDB, IDBKeyRange } = await import('fake-indexeddb');
    opened = new InnerHumDatabase(name, { indexedDB, IDBKeyRange });
    return 'memory';
  }
}

/** Names the database of this origin; it is opened when it is first needed. The worker's door. */
export function openDatabase(name: string): void {
  opened = new InnerHumDatabase(name);
}

/** The open database. Throws where `openDatabase` was forgotten. */
export function database(): InnerHumDatabase {
  if (!opened) throw new Error('openDatabase was not called.');
  return opened;
}
