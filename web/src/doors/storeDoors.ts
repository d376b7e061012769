import type { Random } from '@inner-hum/core/signal';
import { newManifest } from '../archive/archiveFormat.ts';
import { openArchive, restore, writeArchive } from '../archive/index.ts';
import { BlobWriter, TextReader, ZipWriter } from '../archive/zip.ts';
import { importExercises } from '../features/shelf/importExercises.ts';
import { database, EVERYTHING, openDatabase, OWN_TABLES } from '../storage/index.ts';
import { faultOfRow } from '../storage/rowChecks.ts';
import { bytesOf, expectSaid, pick, type Bytes, type Door } from './door.ts';
import { EXERCISES } from './fileDoors.ts';
import { mutatedBytes } from './mutateBytes.ts';
import { oddRows, rowWithOddField, type OddRows } from './oddField.ts';
import { SOUND_ROWS } from './rowDoors.ts';

/** So many come in one database; then another is begun. */
const A_DATABASE = 50;
let opened = 0;
function freshNow(): void {
  if (opened++ % A_DATABASE === 0) openDatabase(`doors-${opened}`);
}

async function expectSoundRows(): Promise<void> {
  for (const table of OWN_TABLES)
    for (const row of (await database().table(table).toArray()) as object[]) {
      const fault = faultOfRow(table, row);
      if (fault !== null) throw new Error(`a row of ${table} was taken in: ${fault}`);
    }
}

const exercises = oddRows(EXERCISES);
const exerciseDoor: Door = {
  name: 'file of exercises',
  make(random) {
    const text = rowWithOddField(exercises, random);
    const file = bytesOf(random.uniform() < 0.5 ? text : `[${text},${JSON.stringify(EXERCISES[0])}]`);
    return Promise.resolve(random.uniform() < 0.5 ? file : mutatedBytes([file], random));
  },
  async open(bytes) {
    freshNow();
    const answer = await importExercises(new File([bytes], 'exercises.json'));
    if (answer.kind === 'taken') answer.refused.forEach(({ why }) => expectSaid(why));
    await expectSoundRows();
    return answer.kind === 'taken' && answer.count > 0;
  },
};

const odd = Object.fromEntries(
  Object.entries(SOUND_ROWS).map(([table, rows]) => [table, oddRows(rows)]),
) as Record<keyof typeof SOUND_ROWS, OddRows>;

/** An archive with one odd row in each table, or with bytes that were changed. */
async function oddArchive(random: Random): Promise<Bytes> {
  const zip = new ZipWriter(new BlobWriter(), { level: 0 });
  const add = (name: string, text: string) => zip.add(name, new TextReader(text));
  await add('inner-hum.json', JSON.stringify(newManifest(EVERYTHING, 1, Date.UTC(2026, 2, 14))));
  for (const [table, rows] of Object.entries(odd))
    if (table !== 'takes')
      await add(
        `tables/${table}-1.json`,
        `[${rowWithOddField(rows, random)},${JSON.stringify(rows.rows[0])}]`,
      );
  const { id } = pick(SOUND_ROWS.takes, random);
  await add(`takes/2026-03-14/${id}/take.json`, rowWithOddField(odd.takes, random));
  const sound = pick(
    SOUND_ROWS.takes.filter((take) => take.id !== id),
    random,
  );
  await add(`takes/2026-03-14/${sound.id}/take.json`, JSON.stringify(sound));
  const bytes = new Uint8Array(await (await zip.close()).arrayBuffer());
  return random.uniform() < 0.5 ? bytes : mutatedBytes([bytes], random);
}

const archiveDoor: Door = {
  name: 'archive',
  make: oddArchive,
  async open(bytes) {
    freshNow();
    const archive = await openArchive(new Blob([bytes]));
    if (typeof archive === 'string') return false;
    const stop = new AbortController().signal;
    const mode = bytes.length % 2 === 0 ? 'merge' : 'replace';
    const { takes, rows, damaged } = await restore(archive, mode, () => undefined, stop);
    for (const { why } of damaged) expectSaid(why);
    await expectSoundRows();
    // Whatever came in, an archive can be written, and is one.
    const zip = new ZipWriter(new BlobWriter(), { level: 0 });
    await writeArchive(zip, EVERYTHING, Date.UTC(2026, 2, 15), () => undefined, stop);
    if (typeof (await openArchive(await zip.close())) === 'string')
      throw new Error('the archive written is none');
    return takes.added + rows.added > 0;
  },
};

export const STORE_DOORS: readonly Door[] = [exerciseDoor, archiveDoor];
