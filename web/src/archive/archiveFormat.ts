import * as yup from 'yup';
import { HORN_IDS } from '@inner-hum/core/horn';
import { DATABASE_VERSION, SMALL_TABLES, type Choice, type SmallTable } from '../storage/index.ts';

/** The version that is written; older ones are read. */
export const ARCHIVE_VERSION = 1;

/** First part of every archive: what it is and what it holds. */
export interface ArchiveManifest {
  format: 'inner-hum-archive';
  version: number;
  /** Rows are as a database of this version has them. */
  databaseVersion: number;
  madeAt: string;
  choice: Choice;
  takes: number;
}

export const MANIFEST = 'inner-hum.json';

/** Rows of small tables that stand in one part. */
export const ROWS_A_PART = 500;

export const tablePart = (table: SmallTable, part: number) => `tables/${table}-${part + 1}.json`;
export const takeFolder = (day: string, id: string) => `takes/${day}/${id}`;

export const TAKE = 'take.json';
export const FRAMES = 'frames.bin';
export const FLAC = 'sound.flac';
export const WAV = 'sound.wav';

/** Rows that have no place, as they are; not read back. */
export const damagedPart = (table: string, n: number) => `damaged/${table}-${n}.json`;

/** Which part of the archive a name stands for; null: none that is read. */
export type PartName =
  | { kind: 'manifest' }
  | { kind: 'table'; table: SmallTable }
  | { kind: 'take'; day: string; id: string; file: string };

const TABLE_NAME = /^tables\/([A-Za-z]+)-\d{1,6}\.json$/;
const TAKE_NAME =
  /^takes\/(\d{4}-\d{2}-\d{2})\/([\w.-]{1,80})\/(take\.json|frames\.bin|sound\.flac|sound\.wav)$/;

/** Reads a name by what it may be, letter by letter: nothing in it is ever a path. */
export function readPartName(name: string): PartName | null {
  if (name === MANIFEST) return { kind: 'manifest' };
  const table = SMALL_TABLES.find((each) => each === TABLE_NAME.exec(name)?.[1]);
  if (table) return { kind: 'table', table };
  const [, day, id, file] = TAKE_NAME.exec(name) ?? [];
  return file ? { kind: 'take', day, id, file } : null;
}

const dayOrNot = yup
  .string()
  .matches(/^\d{4}-\d{2}-\d{2}$/)
  .nullable()
  .defined();

export const manifestSchema = yup.object({
  format: yup.string().oneOf(['inner-hum-archive']).required(),
  version: yup.number().integer().min(1).required(),
  databaseVersion: yup.number().integer().min(1).required(),
  madeAt: yup.string().max(40).required(),
  takes: yup.number().integer().min(0).required(),
  choice: yup
    .object({
      from: dayOrNot,
      to: dayOrNot,
      hornId: yup.string().oneOf(HORN_IDS).nullable().defined(),
      sound: yup.boolean().required(),
      report: yup
        .object({
          taskId: yup.string().max(80).required(),
          by: yup.string().max(60).defined(),
          shelf: yup.array(yup.string().max(100).required()).max(20).required(),
        })
        .nullable()
        .default(null),
    })
    .required(),
});

export const newManifest = (choice: Choice, takes: number, now: number): ArchiveManifest => ({
  format: 'inner-hum-archive',
  version: ARCHIVE_VERSION,
  databaseVersion: DATABASE_VERSION,
  madeAt: new Date(now).toISOString(),
  choice,
  takes,
});

/** Bytes of a part that are read at most, unpacked. */
export const MOST_BYTES: Record<string, number> = {
  json: 50_000_000,
  bin: 40_000_000,
  flac: 700_000_000,
  wav: 1_400_000_000,
};
/** Parts of one archive: half a million takes. */
export const MOST_PARTS = 2_000_000;
