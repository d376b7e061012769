import Dexie from 'dexie';
import { expect, it } from 'vitest';
import { beginTake, database, openStorage, putMany, writePlayerNote, type TakeRecord } from './index.ts';
import { TEST_TAKE } from './testTake.ts';

// The page's way to open, which has not yet learned what takes are found by: workers and other tests have it from the start.

const keysOf = async (id: string) => (await database().takes.get(id))?.keys;

it('brings a database of the first version up to date before the page knows how takes are found', async () => {
  const old = new Dexie('first-version');
  old.version(1).stores({
    takes: 'id, state, startedAt',
    chunks: '[takeId+index], takeId',
    frames: 'takeId',
    settings: 'id',
    calibrations: 'id, madeAt',
  });
  await old.table('settings').put({ id: 'settings', visited: true, hornId: 'tenor', a4Hz: 442 });
  await old.table('takes').put({
    id: 'old',
    state: 'kept',
    kind: 'free',
    startedAt: new Date(2025, 3, 12, 18, 30).getTime(),
    hornId: 'tenor',
    a4Hz: 442,
    scale: { floorDb: -46, ceilingDb: -16, source: 'default' },
    source: 'microphone',
    eyes: 'watch',
    sampleRateHz: 48000,
    lengthSeconds: 1,
    context: null,
    dueClickSeconds: [],
    foundClickSeconds: [],
    analysis: null,
    playerNote: '',
    recovered: false,
    deletedAt: null,
  });
  old.close();
  expect(await openStorage('first-version', () => undefined)).toBe('kept');
  expect(await keysOf('old')).toMatchObject({ note: 'free' });
});

it('writes no take without its keys, whoever writes first', async () => {
  await openStorage('fresh', () => undefined);
  const take: TakeRecord = { ...TEST_TAKE, id: 'first', playerNote: '' };
  await beginTake(take);
  expect(await keysOf('first')).toMatchObject({ note: expect.any(String) as string });
  await writePlayerNote('first', 'round and full');
  expect(await keysOf('first')).toMatchObject({ noted: 1 });
});

it('lays in many rows at once, as the demo does, before anything else was written', async () => {
  await openStorage('laid-in', () => undefined);
  const rows = { takes: [{ ...TEST_TAKE, id: 'demo' }] };
  await putMany({
    ...rows,
    frames: [],
    performances: [],
    rounds: [],
    trials: [],
    aims: [],
    tasks: [],
    mouthpieces: [],
    reeds: [],
    hornChecks: [],
    dayNotes: [],
  });
  expect(await keysOf('demo')).toMatchObject({ note: expect.any(String) as string });
});
