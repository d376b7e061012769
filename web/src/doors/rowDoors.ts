import { playedPhrases, type Exercise } from '@inner-hum/core/exercise';
import { readJson } from '@inner-hum/core/formats';
import type { TFunction } from 'i18next';
import { englishInTests } from '../notation/englishInTests.ts';
import { exerciseName } from '../notation/index.ts';
import {
  DEFAULT_SETTINGS,
  ownAddress,
  OWN_TABLES,
  type OwnTable,
  type TakeRecord,
} from '../storage/index.ts';
import { faultOfRow } from '../storage/rowChecks.ts';
import { SETTINGS_CHECKS } from '../storage/settingsChecks.ts';
import { bytesOf, textOf, type Bytes, type Door } from './door.ts';
import { EXERCISES } from './fileDoors.ts';
import { JUDGED_TAKES, readTake } from './judgedTakes.ts';
import { oddRows, rowWithOddField } from './oddField.ts';
import { readExercise } from './readExercise.ts';

const DAY = '2026-03-14';
const NOON = Date.UTC(2026, 2, 14, 12);

/** Sound rows of the tables that players write. */
const ROWS: Partial<Record<OwnTable, readonly object[]>> = {
  rounds: EXERCISES.map((exercise, i) => ({
    id: `round-${i}`,
    startedAt: NOON,
    hornId: 'alto',
    exercise,
    address: '/stand/drill/swell?beats=4',
  })),
  exercises: EXERCISES.map((exercise, i) => ({
    id: `own-${i}`,
    exercise,
    createdAt: NOON,
    changedAt: NOON,
    deletedAt: null,
  })),
  dayNotes: [{ day: DAY, text: 'cold room', temperatureC: 17.5 }],
  reeds: [
    {
      id: 'reed-1',
      hornId: 'alto',
      kind: 'cane, 2 ½',
      name: '2',
      createdAt: NOON,
      retiredAt: null,
      remarks: [{ at: NOON, how: 'well', text: 'spoke at once' }],
    },
  ],
};

let english: Promise<TFunction> | null = null;

/** A row of a table with something odd in one of its fields, as an archive brings it. */
function rowDoor(table: OwnTable, rows: readonly object[], read: (row: never, t: TFunction) => void): Door {
  const odd = oddRows(rows);
  return {
    name: `row of ${table}`,
    make: (random) => Promise.resolve(bytesOf(rowWithOddField(odd, random))),
    async open(bytes) {
      english ??= englishInTests();
      const t = await english;
      const row = jsonOf(bytes);
      if (row === undefined || faultOfRow(table, row) !== null) return false;
      read(row as never, t);
      return true;
    },
  };
}

/** What an archive would read in these bytes; undefined where it refuses them. */
function jsonOf(bytes: Bytes): unknown {
  try {
    return readJson(textOf(bytes));
  } catch {
    return undefined;
  }
}

function readOwn({ exercise }: { exercise: Exercise }, t: TFunction): void {
  exerciseName(exercise, t);
  readExercise(exercise);
}

function readRound(round: { exercise: Exercise; address: string | null }, t: TFunction): void {
  readOwn(round, t);
  playedPhrases(round.exercise);
  // No link leaves the app.
  const address = ownAddress(round.address);
  if (address !== null && new URL(address, 'http://localhost').origin !== 'http://localhost')
    throw new Error(`a link to ${address}`);
}

const settings = oddRows([DEFAULT_SETTINGS]);
const settingsDoor: Door = {
  name: 'settings',
  make: (random) => Promise.resolve(bytesOf(rowWithOddField(settings, random))),
  open(bytes) {
    const row = jsonOf(bytes) as Record<string, unknown> | undefined;
    // Field by field: what does not fit is passed over.
    return Promise.resolve(Object.entries(SETTINGS_CHECKS).every(([name, isFit]) => isFit(row?.[name])));
  },
};

const isOwnTable = (table: string): table is OwnTable => OWN_TABLES.some((each) => each === table);

export const ROW_DOORS: readonly Door[] = [
  rowDoor('takes', JUDGED_TAKES, (take: TakeRecord, t) => readTake(take, t)),
  ...Object.entries(ROWS).flatMap(([table, rows]) => {
    if (!isOwnTable(table)) return [];
    const read = table === 'rounds' ? readRound : table === 'exercises' ? readOwn : () => undefined;
    return [rowDoor(table, rows, read)];
  }),
  settingsDoor,
];
export const SOUND_ROWS = { ...ROWS, takes: JUDGED_TAKES };
