import { ZipWriter } from './zip.ts';
import {
  EVERYTHING,
  collectTakes,
  groupedBy,
  readFolder,
  writeFolder,
  type ChosenTake,
} from '../storage/index.ts';
import { writeArchive } from './writeArchive.ts';

export interface FolderCopied {
  /** Files that were written; months that had not changed were left alone. */
  files: string[];
}

/** What a month holds, as one word: another take, one less, or another text on one makes it another. */
const wordOf = (takes: readonly ChosenTake[]) =>
  [takes.length, takes.at(-1)?.id ?? '', takes.reduce((sum, { letters }) => sum + letters, 0)].join(' ');

/**
 * Copies everything into the player's folder: one archive a month, written anew where takes have come or gone, and always the
 * latest, which carries everything else as well. Each archive can be put back by itself.
 */
export async function copyToFolder(
  now: number,
  onProgress: (done: number, of: number) => void,
  signal: AbortSignal,
): Promise<FolderCopied | null> {
  const folder = await readFolder();
  if (!folder) return null;
  const months = groupedBy(await collectTakes(EVERYTHING), ({ day }) => day.slice(0, 7));
  const latest = [...months.keys()].at(-1) ?? new Date(now).toISOString().slice(0, 7);
  const due = [...months].filter(
    ([month, takes]) => month === latest || folder.months[month] !== wordOf(takes),
  );
  if (due.length === 0) due.push([latest, []]);
  const files: string[] = [];
  const written = { ...folder.months };
  for (const [i, [month, takes]] of due.entries()) {
    const name = `inner-hum-${month}.zip`;
    const file = await folder.handle.getFileHandle(name, { create: true });
    // What is written takes the place of the old file only when it is closed.
    const stream = await file.createWritable();
    try {
      const zip = new ZipWriter(stream);
      const choice = { ...EVERYTHING, from: `${month}-01`, to: `${month}-31` };
      await writeArchive(
        zip,
        choice,
        now,
        (done, of) => onProgress(i + (of === 0 ? 1 : done / of), due.length),
        signal,
      );
      await zip.close();
    } catch (error) {
      await stream.abort().catch(() => undefined);
      throw error;
    }
    written[month] = wordOf(takes);
    files.push(name);
    await writeFolder({ ...folder, months: written });
  }
  await writeFolder({ ...folder, months: written, writtenAt: now });
  return { files };
}
