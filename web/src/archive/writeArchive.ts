import { TextReader, Uint8ArrayReader, type Zip } from './zip.ts';
import type { FrameColumns } from '@inner-hum/core/hearing';
import { encodeWav, framesToBytes, notesToCsv, takesToCsv, type CsvStyle } from '@inner-hum/core/formats';
import {
  collectRows,
  collectTake,
  collectTakes,
  collectUnplaced,
  SMALL_TABLES,
  type Choice,
  type CollectedTake,
  type TakeRecord,
  csvStyle,
  readSettings,
} from '../storage/index.ts';
import {
  damagedPart,
  FLAC,
  FRAMES,
  MANIFEST,
  newManifest,
  ROWS_A_PART,
  readPartName,
  TAKE,
  tablePart,
  takeFolder,
  WAV,
} from './archiveFormat.ts';

export interface ArchiveWritten {
  takes: number;
  /** Sounds that could not be read and are missing; the take is there all the same. */
  silent: string[];
  /** Rows that could not be written in their place, and are in the archive as they are. */
  damaged: number;
}

/** Sizes stand before each part, so that a file that is cut short can still be read up to there. */
const PLAIN = { dataDescriptor: false, extendedTimestamp: false } as const;

const addText = (zip: Zip, name: string, text: string) => zip.add(name, new TextReader(text), PLAIN);
const addRows = (zip: Zip, name: string, value: unknown) => addText(zip, name, `${JSON.stringify(value)}\n`);
/** Packed by itself already. */
const addPacked = (zip: Zip, name: string, bytes: Uint8Array) =>
  zip.add(name, new Uint8ArrayReader(bytes), { ...PLAIN, level: 0 });

/** Rows that have no place of their own: nothing that is stored is left out for being damaged. */
function createDamagedParts(zip: Zip) {
  let count = 0;
  return {
    get count() {
      return count;
    },
    add: (table: string, row: unknown) => addRows(zip, damagedPart(table, ++count), row),
  };
}
type DamagedParts = ReturnType<typeof createDamagedParts>;

/** Frames as bytes; null where they are none. */
function frameBytes(columns: FrameColumns): Uint8Array<ArrayBuffer> | null {
  try {
    return framesToBytes(columns);
  } catch {
    return null;
  }
}

async function addTake(
  zip: Zip,
  { record, columns, sound }: CollectedTake,
  damaged: DamagedParts,
): Promise<void> {
  const folder = takeFolder(record.day, record.id);
  if (readPartName(`${folder}/${TAKE}`) === null) {
    await damaged.add('takes', record);
    return;
  }
  await addRows(zip, `${folder}/${TAKE}`, record);
  const bytes = columns && frameBytes(columns);
  if (bytes) await zip.add(`${folder}/${FRAMES}`, new Uint8ArrayReader(bytes), PLAIN);
  else if (columns) await damaged.add('frames', { takeId: record.id, columns });
  if (sound?.flac) await addPacked(zip, `${folder}/${FLAC}`, sound.flac);
  if (sound?.samples) {
    const { samples, sampleRateHz } = sound;
    await zip.add(
      `${folder}/${WAV}`,
      new Uint8ArrayReader(await encodeWav({ samples, sampleRateHz })),
      PLAIN,
    );
  }
}

/** The tables of a year, written when it is over: spreadsheets open one at a time. */
function createYearTables(zip: Zip, style: CsvStyle) {
  let year: string | null = null;
  let takes: string[] = [];
  let notes: string[] = [];
  async function close() {
    if (year === null) return;
    await addText(zip, `csv/takes-${year}.csv`, takes.join(''));
    await addText(zip, `csv/notes-${year}.csv`, notes.join(''));
    [takes, notes] = [[], []];
  }
  return {
    close,
    async add(record: TakeRecord) {
      const of = String(record.day).slice(0, 4);
      if (!/^\d{4}$/.test(of)) return;
      if (of !== year) {
        await close();
        year = of;
      }
      const isFirst = takes.length === 0;
      try {
        const lines = [takesToCsv([record], style, isFirst), notesToCsv([record], style, isFirst)];
        takes.push(lines[0]);
        notes.push(lines[1]);
      } catch {
        // A take that cannot be read has no figures for a spreadsheet; it is in the archive all the same.
      }
    },
  };
}

/** Writes everything of a choice into a ZIP. `onProgress` is told how many takes are done; throws when the signal says so. */
export async function writeArchive(
  zip: Zip,
  choice: Choice,
  now: number,
  onProgress: (done: number, of: number) => void,
  signal: AbortSignal,
): Promise<ArchiveWritten> {
  const takes = await collectTakes(choice);
  await addRows(zip, MANIFEST, newManifest(choice, takes.length, now));
  for (const table of SMALL_TABLES) {
    const rows = await collectRows(table, choice, takes);
    for (let part = 0; part * ROWS_A_PART < rows.length; part++)
      await addRows(zip, tablePart(table, part), rows.slice(part * ROWS_A_PART, (part + 1) * ROWS_A_PART));
  }
  const damaged = createDamagedParts(zip);
  for (const { table, row } of await collectUnplaced(choice, takes)) await damaged.add(table, row);
  const silent: string[] = [];
  const tables = createYearTables(zip, csvStyle(await readSettings()));
  for (const [done, { id }] of takes.entries()) {
    signal.throwIfAborted();
    onProgress(done, takes.length);
    const take = await collectTake(id, choice.sound).catch(async () => {
      // A sound that cannot be read must not keep the rest from being safe.
      silent.push(id);
      return collectTake(id, false);
    });
    if (!take) continue;
    await addTake(zip, take, damaged);
    await tables.add(take.record);
  }
  await tables.close();
  onProgress(takes.length, takes.length);
  return { takes: takes.length, silent, damaged: damaged.count };
}
