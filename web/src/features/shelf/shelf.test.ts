import { beforeEach, expect, it } from 'vitest';
import { familyById, newExercise, PURPOSES } from '@inner-hum/core/exercise';
import { hornById, hornWithin, writtenMidi } from '@inner-hum/core/horn';
import { playersHorn } from '../../addresses/index.ts';
import {
  addOwnExercise,
  changeSettings,
  DEFAULT_SETTINGS,
  deleteOwnExercise,
  listOwnExercises,
  purgeOwnExercises,
  readOwnExercise,
  readSettings,
  undoDeleteOwnExercise,
  writeOwnExercise,
} from '../../storage/index.ts';
import { readAskedFor } from '../../addresses/index.ts';
import { importExercises } from './importExercises.ts';
import { shelfEntries } from '../../listing/index.ts';
import { wantedEntries, readShelfFilter, shelfSearch, ZONES } from './shelfFilter.ts';
import { emptyDatabaseInTests } from '../../storage/emptyDatabaseInTests.ts';

beforeEach(emptyDatabaseInTests);

const alto = hornById('alto');
const file = (text: string) => new File([text], 'x.json', { type: 'application/json' });
const DAY_MS = 24 * 60 * 60 * 1000;

it('keeps own exercises: written step by step, taken off and brought back within a day, then gone', async () => {
  const id = await addOwnExercise({ ...newExercise(alto), name: 'Mine', family: 'swell' }, 1);
  // Whatever it was copied from, it is the player's own now, at a place of its own.
  expect((await readOwnExercise(id))?.exercise).toMatchObject({ name: 'Mine', family: null, shelfId: id });
  const long = await addOwnExercise({ ...newExercise(alto), name: 'x'.repeat(70) }, 1);
  expect((await readOwnExercise(long))?.exercise.name).toHaveLength(60);
  await deleteOwnExercise(long, 1);
  await writeOwnExercise(id, { ...newExercise(alto), name: 'Mine, slower', tempoBpm: 44 }, 2);
  expect((await listOwnExercises()).map(({ exercise }) => exercise.tempoBpm)).toEqual([44]);
  await deleteOwnExercise(id, 10);
  expect(await readOwnExercise(id)).toBe(null);
  await purgeOwnExercises(10 + DAY_MS);
  await undoDeleteOwnExercise(id);
  expect(await readOwnExercise(id)).not.toBe(null);
  await deleteOwnExercise(id, 10);
  await purgeOwnExercises(11 + DAY_MS);
  await undoDeleteOwnExercise(id);
  expect(await listOwnExercises()).toEqual([]);
});

it('takes from a file what is sound and names the rest; nothing but exercises comes in', async () => {
  const good = { ...newExercise(alto), name: 'Good' };
  const bad = { ...good, phrases: [{ items: [{ kind: 'note', lengthBeats: 4 }] }] };
  const both = await importExercises(file(JSON.stringify([good, bad, good])));
  expect(both).toMatchObject({ kind: 'taken', count: 2, refused: [{ index: 1 }] });
  expect(both.kind === 'taken' && both.refused[0].why.text).toContain('phrases[0].items[0].writtenMidi');
  expect(await importExercises(file(JSON.stringify(good)))).toMatchObject({ count: 1 });
  expect(await importExercises(file('[]'))).toEqual({ kind: 'empty' });
  expect(await importExercises(file('{"a":'))).toEqual({ kind: 'notJson' });
  expect(await importExercises(file(JSON.stringify(Array(501).fill(good))))).toEqual({ kind: 'tooMany' });
  expect(await importExercises(file(' '.repeat(2_000_001)))).toEqual({ kind: 'tooLarge' });
  expect(await importExercises(file('{"__proto__": {"polluted": 1}, "version": 2}'))).toEqual({
    kind: 'notJson',
  });
  expect(({} as { polluted?: number }).polluted).toBeUndefined();
  expect((await listOwnExercises()).map(({ exercise }) => exercise.name)).toEqual(['Good', 'Good', 'Good']);
});

it('finds by purpose, place, minutes, words and what is at hand; the address keeps it', () => {
  const entries = shelfEntries([], alto);
  const found = (search: string, favourites: string[] = []) =>
    wantedEntries(entries, readShelfFilter(new URLSearchParams(search)), favourites, ({ key }) => [key]).map(
      ({ key }) => key,
    );
  expect(found('')).toHaveLength(entries.length);
  for (const purpose of PURPOSES) expect(found(`purpose=${purpose}`).length).toBeGreaterThan(0);
  for (const zone of ZONES) expect(found(`zone=${zone}`).length).toBeGreaterThan(0);
  expect(found('zone=palm')).not.toContain('quietDescent');
  expect(found('minutes=3')).not.toContain('wideningDown');
  expect(found('words=SWELL')).toEqual(
    expect.arrayContaining(['swell', 'pairedSwells', 'alternatingSwells']),
  );
  expect(found('shown=favourites', ['quietDescent'])).toEqual(['quietDescent']);
  expect(found('shown=own')).toEqual([]);
  for (const search of ['purpose=ear&minutes=5&shown=favourites&words=a', 'zone=low'])
    expect(
      readShelfFilter(new URLSearchParams(shelfSearch(readShelfFilter(new URLSearchParams(search))))),
    ).toEqual(readShelfFilter(new URLSearchParams(search)));
  expect(readShelfFilter(new URLSearchParams('purpose=fame&zone=moon&minutes=7&shown=hidden'))).toEqual(
    readShelfFilter(new URLSearchParams('')),
  );
});

it('prints what the address asks for, in its order, inside the range; the rest is left out', async () => {
  const id = await addOwnExercise({ ...newExercise(alto), name: 'Mine' }, 1);
  const own = await listOwnExercises();
  const narrow = hornWithin(alto, { lowest: writtenMidi(76), highest: writtenMidi(90) });
  const sheet = (search: string, horn = alto) =>
    readAskedFor(new URLSearchParams(search), own, horn).map(
      ({ of, exercise }) => `${of} ${exercise.tempoBpm}`,
    );
  const asked = new URLSearchParams([
    ['of', 'pairedSwells?tempoBpm=52'],
    ['of', `own.${id}`],
    ['of', 'own.gone'],
    ['of', 'nothing'],
  ]).toString();
  expect(sheet(asked)).toEqual(['pairedSwells?tempoBpm=52 52', `own.${id} 60`]);
  // The break lies under this range.
  expect(familyById('breakDrill')?.options(narrow)).toBe(null);
  expect(sheet('of=breakDrill', narrow)).toEqual([]);
});

it('gives the player the range and the top key that were set, and nothing impossible', async () => {
  await changeSettings({
    topKeys: { alto: 'G' },
    ranges: { tenor: { lowest: writtenMidi(60), highest: writtenMidi(80) } },
  });
  const settings = await readSettings();
  expect(playersHorn(settings)).toMatchObject({ id: 'alto', lowest: 58, highest: 91 });
  expect(playersHorn({ ...settings, hornId: 'tenor' })).toMatchObject({ lowest: 60, highest: 80 });
  await changeSettings({ topKeys: { alto: 'H' as 'G' } });
  expect((await readSettings()).topKeys).toEqual(DEFAULT_SETTINGS.topKeys);
});
