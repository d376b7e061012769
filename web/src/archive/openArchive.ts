import { BlobReader, ZipReader, type Entry, type FileEntry } from './zip.ts';
import { readJson } from '@inner-hum/core/formats';
import { DATABASE_VERSION } from '../storage/index.ts';
import {
  ARCHIVE_VERSION,
  MANIFEST,
  manifestSchema,
  MOST_PARTS,
  readPartName,
  type ArchiveManifest,
  type PartName,
} from './archiveFormat.ts';
import { readPart } from './readPart.ts';
import { repairZip } from './repairZip.ts';

/** Why a file is not read at all. */
export type ArchiveRefusal = 'empty' | 'noArchive' | 'newer' | 'tooManyParts';

export interface ArchivePart {
  name: string;
  of: PartName;
  entry: FileEntry;
}

export interface OpenedArchive {
  manifest: ArchiveManifest;
  /** In the order in which they are put back. */
  parts: ArchivePart[];
  /** The end is missing: what was still there was found part by part. */
  cutShort: boolean;
}

async function entriesOf(file: Blob): Promise<{ entries: Entry[]; cutShort: boolean } | null> {
  try {
    return { entries: await new ZipReader(new BlobReader(file)).getEntries(), cutShort: false };
  } catch {
    const mended = await repairZip(file);
    if (!mended) return null;
    const entries = await new ZipReader(new BlobReader(mended)).getEntries().catch(() => null);
    return entries && { entries, cutShort: true };
  }
}

/** Opens an archive and looks what it is, without changing anything. */
export async function openArchive(file: Blob): Promise<OpenedArchive | ArchiveRefusal> {
  if (file.size === 0) return 'empty';
  const found = await entriesOf(file);
  if (!found) return 'noArchive';
  if (found.entries.length > MOST_PARTS) return 'tooManyParts';
  const parts = found.entries.flatMap((entry): ArchivePart[] => {
    const of = entry.directory ? null : readPartName(entry.filename);
    return of && !entry.directory ? [{ name: entry.filename, of, entry }] : [];
  });
  const first = parts.find(({ name }) => name === MANIFEST);
  const manifest = first ? await readManifest(first) : null;
  if (!manifest) return 'noArchive';
  if (manifest.version > ARCHIVE_VERSION || manifest.databaseVersion > DATABASE_VERSION) return 'newer';
  return { manifest, parts, cutShort: found.cutShort };
}

async function readManifest(part: ArchivePart): Promise<ArchiveManifest | null> {
  try {
    const text = new TextDecoder().decode(await readPart(part));
    const value = readJson(text, { length: 10_000, depth: 5 });
    manifestSchema.validateSync(value, { strict: true });
    return value as ArchiveManifest;
  } catch {
    return null;
  }
}
