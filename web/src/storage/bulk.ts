import { database } from './database.ts';
import { loadTakeKeys } from './keysOnWrite.ts';
import { daysOfTakes } from './dayRecords.ts';
import { practiceOfTakes } from './practiceRecords.ts';
import type { HornCheckRecord, MouthpieceRecord, ReedRecord } from './gearRecords.ts';
import type {
  AimRecord,
  DayNoteRecord,
  FramesRecord,
  PerformanceRecord,
  RoundRecord,
  TakeRecord,
  TaskRecord,
  TrialRecord,
} from './records.ts';

/** Many rows that come at once. */
export interface ManyRows {
  takes: TakeRecord[];
  frames: FramesRecord[];
  performances: PerformanceRecord[];
  rounds: RoundRecord[];
  trials: TrialRecord[];
  aims: AimRecord[];
  tasks: TaskRecord[];
  mouthpieces: MouthpieceRecord[];
  reeds: ReedRecord[];
  hornChecks: HornCheckRecord[];
  dayNotes: DayNoteRecord[];
}

/** Stores them in one transaction, with the days their takes make up: all of it or nothing. For an empty database. */
export async function putMany(rows: ManyRows): Promise<void> {
  await loadTakeKeys();
  const db = database();
  const names = Object.keys(rows) as (keyof ManyRows)[];
  const tables = [...names.map((name) => db.table(name)), db.tendencyDays, db.practiceDays];
  await db.transaction('rw', tables, async () => {
    for (const name of names) await db.table(name).bulkPut(rows[name]);
    await db.tendencyDays.bulkPut(daysOfTakes(rows.takes));
    await db.practiceDays.bulkPut(practiceOfTakes(rows.takes));
  });
}
