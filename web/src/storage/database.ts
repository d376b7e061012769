import Dexie, { type DexieOptions, type Table } from 'dexie';
import { takeKeys } from './takeKeys.ts';
import { loadLegacyParser, upgradeRows } from './upgrades.ts';
import { daysOfTakes } from './dayRecords.ts';
import { wallClock } from './moment.ts';
import { practiceOfTakes } from './practiceRecords.ts';
import type { HornCheckRecord, MouthpieceRecord, ReedRecord } from './gearRecords.ts';
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
  SetAsideRecord,
  SheetRecord,
  SoundRecord,
  TakeRecord,
  TendencyDayRecord,
  TrialRecord,
} from './records.ts';
import type { SettingsRecord } from './settingsRecord.ts';

/** The version that this app writes. */
export const DATABASE_VERSION = 9;

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
  sounds!: Table<SoundRecord, string>;
  setAside!: Table<SetAsideRecord, string>;
  folders!: Table<FolderRecord, string>;

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
      .upgrade((transaction) => upgradeRows(transaction, 2));
    this.version(3)
      .stores({})
      .upgrade((transaction) => upgradeRows(transaction, 3));
    this.version(4)
      .stores({ takes: 'id, state, startedAt, roundId', rounds: 'id, startedAt' })
      .upgrade(async (transaction) => {
        // Loading code is no work on the database, and would end the transaction.
        await Dexie.waitFor(loadLegacyParser());
        await upgradeRows(transaction, 4);
      });
    this.version(5).stores({ exercises: 'id, createdAt' });
    this.version(6)
      .stores({ mouthpieces: 'id, hornId', highFingerings: 'id, mouthpieceId' })
      .upgrade((transaction) => upgradeRows(transaction, 6));
    this.version(7)
      .stores({ tendencyDays: 'id, setup, [setup+source+day]', sheets: 'day' })
      .upgrade(async (transaction) => {
        const takes = await transaction.table<TakeRecord>('takes').toArray();
        await transaction.table('tendencyDays').bulkPut(daysOfTakes(takes.map(withWallClock)));
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
        await upgradeRows(transaction, 8);
        await transaction.table('sheets').clear();
        const takes = await transaction.table<TakeRecord>('takes').toArray();
        await transaction.table('practiceDays').bulkPut(practiceOfTakes(takes.map(withWallClock)));
      });
    this.version(9)
      .stores({
        takes: [
          'id, state, startedAt, roundId, [day+startedAt], hornId, deletedAt, keys.noted',
          'keys.note, [keys.note+startedAt], keys.shelf, [keys.shelf+startedAt], [keys.judged+startedAt]',
        ].join(', '),
        sounds: 'takeId',
        setAside: 'id',
        folders: 'id',
      })
      .upgrade((transaction) => upgradeRows(transaction, 9));
    this.takes.hook('creating', (_id, take) => void (take.keys = takeKeys(take)));
    this.takes.hook('updating', (changes, _id, take) => ({ keys: takeKeys({ ...take, ...changes }) }));
  }
}

/** Days are made of takes that say when they were played; before version 9 none did. */
const withWallClock = (take: TakeRecord): TakeRecord => ({ ...take, ...wallClock(take.startedAt) });

let opened: InnerHumDatabase | null = null;

/** `memory`: the browser refuses to store anything; what is read and written lives as long as the page. */
export type StorageKind = 'kept' | 'memory';

/**
 * Opens the database of this origin for the page, and says what was to be had. Rejects with `VersionError` where a
 * newer version of the app has written the database: its takes must not seem to be gone. `onOutdated`: that happens while it is open.
 */
export async function openStorage(name: string, onOutdated: () => void): Promise<StorageKind> {
  openDatabase(name);
  // Another tab has a newer version of the app: this one gives way, or neither could go on.
  database().on('versionchange', () => {
    database().close();
    onOutdated();
  });
  try {
    await database().open();
    refuseNewer();
    return 'kept';
  } catch (error) {
    if (error instanceof Dexie.VersionError) throw error;
    const { indexedDB, IDBKeyRange } = await import('fake-indexeddb');
    opened = new InnerHumDatabase(name, { indexedDB, IDBKeyRange });
    return 'memory';
  }
}

/** The library opens what a newer version wrote, as if nothing were the matter; to write into it would harm it. */
function refuseNewer(): void {
  // The browser counts ten for one of the library's versions.
  if (database().backendDB().version < 10 * (DATABASE_VERSION + 1)) return;
  database().close();
  throw new Dexie.VersionError('A newer version of the app has written this database.');
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
