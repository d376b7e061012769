import { whyOf, type Why } from '@inner-hum/core/signal';
import { decodeWav, framesFromBytes, readJson } from '@inner-hum/core/formats';
import { FrameTrack, listenTo } from '@inner-hum/core/hearing';
import {
  groupedBy,
  isWhole,
  keyOfRow,
  OWN_TABLES,
  restoreDay,
  restoreRows,
  removeOthers,
  samplesOf,
  SMALL_TABLES,
  loadLegacyParser,
  upgradeRow,
  type CollectedTake,
  type OwnTable,
  type RestoreCount,
  type RestoreMode,
  type SoundRecord,
  type TakeRecord,
} from '../storage/index.ts';
import { faultOfRow } from '../storage/rowChecks.ts';
import { FLAC, FRAMES, TAKE, WAV } from './archiveFormat.ts';
import type { ArchivePart, OpenedArchive } from './openArchive.ts';
import { readPart } from './readPart.ts';

export interface RestoreReport {
  takes: RestoreCount;
  /** Everything else, row by row. */
  rows: RestoreCount;
  removed: number;
  /** Parts that could not be read, and why; everything else is back. */
  damaged: { part: string; why: Why }[];
}

const MOST_DAMAGES = 200;
const noCount = (): RestoreCount => ({ added: 0, changed: 0, same: 0 });
const add = (sum: RestoreCount, more: RestoreCount) => {
  sum.added += more.added;
  sum.changed += more.changed;
  sum.same += more.same;
};

type ReadOf = <Value>(
  part: ArchivePart,
  read: (bytes: Uint8Array<ArrayBuffer>) => Value | Promise<Value>,
) => Promise<Value | null>;

const parsed = (bytes: Uint8Array) => readJson(new TextDecoder('utf-8', { fatal: true }).decode(bytes));

/**
 * Puts an archive back, part by part; what cannot be read is named and left out. `replace` takes away what the archive does not
 * hold, at the end, and only where it holds everything and all of it could be read: stopped in the middle nothing is lost.
 */
export async function restore(
  { manifest, parts, cutShort }: OpenedArchive,
  mode: RestoreMode,
  onProgress: (done: number, of: number) => void,
  signal: AbortSignal,
): Promise<RestoreReport> {
  await loadLegacyParser();
  const report: RestoreReport = { takes: noCount(), rows: noCount(), removed: 0, damaged: [] };
  const stay = Object.fromEntries(OWN_TABLES.map((table) => [table, new Set<string>()])) as Record<
    OwnTable,
    Set<string>
  >;
  const tellDamage = (part: string, why: unknown) => {
    if (report.damaged.length < MOST_DAMAGES) report.damaged.push({ part, why: whyOf(why) });
  };
  /** What is read of a part; null, and the part is told, where it cannot be. */
  const readOf: ReadOf = async (part, read) => {
    try {
      return await read(await readPart(part));
    } catch (error) {
      tellDamage(part.name, error);
      return null;
    }
  };
  /** A row brought up to date; null, and its part is told, where no room could read it. */
  const checked = (table: OwnTable, row: unknown, part: string): object | null => {
    try {
      if (typeof row === 'object' && row !== null) upgradeRow(table, row, manifest.databaseVersion);
      const fault = faultOfRow(table, row);
      if (fault === null) return row as object;
      tellDamage(part, fault);
    } catch (error) {
      tellDamage(part, error);
    }
    return null;
  };

  for (const table of SMALL_TABLES)
    for (const part of parts.filter(({ of }) => of.kind === 'table' && of.table === table)) {
      signal.throwIfAborted();
      await readOf(part, async (bytes) => {
        const rows = parsed(bytes);
        if (!Array.isArray(rows)) throw new Error('it is no list of rows');
        const good = rows.flatMap((row: unknown) => checked(table, row, part.name) ?? []);
        for (const row of good) stay[table].add(keyOfRow(table, row));
        add(report.rows, await restoreRows(table, good, mode));
      });
    }

  const takeParts = parts.flatMap((part) => (part.of.kind === 'take' ? [{ part, ...part.of }] : []));
  const total = groupedBy(takeParts, ({ id }) => id).size;
  let done = 0;
  for (const ofDay of groupedBy(takeParts, ({ day }) => day).values()) {
    const collected: CollectedTake[] = [];
    for (const [id, files] of groupedBy(ofDay, (each) => each.id)) {
      signal.throwIfAborted();
      onProgress(done++, total);
      const of = new Map(files.map(({ file, part }) => [file, part]));
      const part = of.get(TAKE);
      if (!part) {
        tellDamage(files[0].part.name, 'what belongs to this sound is missing');
        continue;
      }
      const row = await readOf(part, (bytes) => checked('takes', parsed(bytes), part.name));
      const record = row as TakeRecord | null;
      if (!record) continue;
      if (record.id !== id || record.state !== 'kept') {
        tellDamage(part.name, 'it is not the take that its name says');
        continue;
      }
      stay.takes.add(id);
      collected.push(await withSoundAndFrames(record, of, readOf));
    }
    add(report.takes, await restoreDay(collected, mode));
  }
  const isAll = isWhole(manifest.choice) && !cutShort && report.damaged.length === 0;
  if (mode === 'replace' && isAll) report.removed = await removeOthers(stay);
  onProgress(total, total);
  return report;
}

/** A take with what else is there of it. Frames that are damaged are heard again from its sound; a sound that is damaged stays away. */
async function withSoundAndFrames(
  record: TakeRecord,
  files: ReadonlyMap<string, ArchivePart>,
  readOf: ReadOf,
): Promise<CollectedTake> {
  const [flac, wav, frames] = [FLAC, WAV, FRAMES].map((file) => files.get(file));
  const sound = flac
    ? await readOf(flac, (bytes) => flacSound(record, bytes))
    : wav
      ? await readOf(wav, (bytes) => wavSound(record, bytes))
      : null;
  const columns = frames ? await readOf(frames, framesFromBytes) : null;
  if (columns || !sound) return { record, columns: columns ?? new FrameTrack(0).slice(0), sound };
  return { record, columns: listenTo(await samplesOf(sound), record.sampleRateHz).slice(0), sound };
}

function flacSound(
  { id, sampleRateHz, lengthSeconds }: TakeRecord,
  flac: Uint8Array<ArrayBuffer>,
): SoundRecord {
  if (new TextDecoder().decode(flac.subarray(0, 4)) !== 'fLaC') throw new Error('it is no FLAC sound');
  const sampleCount = Math.round(lengthSeconds * sampleRateHz);
  return { takeId: id, sampleRateHz, sampleCount, flac, samples: null };
}

function wavSound({ id, sampleRateHz }: TakeRecord, bytes: Uint8Array): SoundRecord {
  const { samples } = decodeWav(bytes);
  return { takeId: id, sampleRateHz, sampleCount: samples.length, flac: null, samples };
}
