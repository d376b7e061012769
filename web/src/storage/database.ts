import Dexie, { type Table } from 'dexie';
import { giveNoteMeasures } from './upgrades.ts';
import type { CalibrationRecord, ChunkRecord, FramesRecord, SettingsRecord, TakeRecord } from './records.ts';

/** A change adds a `version(n)` with its upgrade; nothing here is ever edited in place. */
class InnerHumDatabase extends Dexie {
  takes!: Table<TakeRecord, string>;
  chunks!: Table<ChunkRecord, [string, number]>;
  frames!: Table<FramesRecord, string>;
  settings!: Table<SettingsRecord, string>;
  calibrations!: Table<CalibrationRecord, string>;

  constructor(name: string) {
    super(name);
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
  }
}

let opened: InnerHumDatabase | null = null;

/** Opens the database of this origin; called once by the page and once by its worker. */
export function openDatabase(name: string): void {
  opened = new InnerHumDatabase(name);
}

/** The open database. Throws where `openDatabase` was forgotten. */
export function database(): InnerHumDatabase {
  if (!opened) throw new Error('openDatabase was not called.');
  return opened;
}
