import { beforeEach, expect, it } from 'vitest';
import { buildSwell, MOST_NAME, type Exercise } from '@inner-hum/core/exercise';
import { FrameTrack } from '@inner-hum/core/hearing';
import { writtenMidi } from '@inner-hum/core/horn';
import {
  addAim,
  addOwnExercise,
  addReed,
  addTrial,
  changeSettings,
  database,
  deleteOwnExercise,
  deleteTrial,
  finishAim,
  finishTake,
  lastRounds,
  listAims,
  listOwnExercises,
  listReeds,
  listRounds,
  listSetups,
  listTendencyDays,
  listTrials,
  MOST_AIM_TEXT,
  MOST_REED_NAME,
  MOST_REMARK,
  purgeOwnExercises,
  putOnReed,
  readOwnExercise,
  readRound,
  readRoundTakes,
  readSettings,
  readTrial,
  remarkOnReed,
  retireReed,
  roundsAt,
  storeRound,
  takesOfRounds,
  trialAddress,
  undoDeleteOwnExercise,
  writeOwnExercise,
  type AimRecord,
  type RoundRecord,
  type TrialRecord,
} from './index.ts';
import { TEST_TAKE } from './testTake.ts';
import { emptyDatabaseInTests } from './emptyDatabaseInTests.ts';

const DAY_MS = 86_400_000;
const swell = (note: number, family: string | null = 'swell'): Exercise => ({
  ...buildSwell({
    note: writtenMidi(note),
    shape: 'growFade',
    beats: 4,
    tempoBpm: 60,
    start: 'countIn',
  }),
  family,
});

beforeEach(emptyDatabaseInTests);

it('keeps own exercises in the order they came, each with a place of its own', async () => {
  const first = await addOwnExercise({ ...swell(60), name: `${'n'.repeat(MOST_NAME)}ever` }, 100);
  const second = await addOwnExercise(swell(62), 50);
  const [older, newer] = await listOwnExercises();
  expect([older.id, newer.id]).toEqual([second, first]);
  expect(newer.exercise).toMatchObject({ family: null, shelfId: first, name: 'n'.repeat(MOST_NAME) });
  // One without a name gets none.
  expect('name' in older.exercise).toBe(false);
  expect([newer.createdAt, newer.changedAt]).toEqual([100, 100]);
  await writeOwnExercise(first, swell(64), 200);
  expect(await readOwnExercise(first)).toMatchObject({ createdAt: 100, changedAt: 200, exercise: swell(64) });
});

it('takes an own exercise off with a day to undo it', async () => {
  const id = await addOwnExercise(swell(60), 0);
  const other = await addOwnExercise(swell(60), 0);
  await deleteOwnExercise(id, DAY_MS);
  expect(await readOwnExercise(id)).toBeNull();
  expect((await listOwnExercises()).map((each) => each.id)).toEqual([other]);
  await purgeOwnExercises(2 * DAY_MS);
  await undoDeleteOwnExercise(id);
  expect(await readOwnExercise(id)).toMatchObject({ deletedAt: null });
  await deleteOwnExercise(id, DAY_MS);
  await purgeOwnExercises(2 * DAY_MS + 1);
  await undoDeleteOwnExercise(id);
  expect(await readOwnExercise(id)).toBeNull();
  expect(await readOwnExercise(other)).not.toBeNull();
  expect(await readOwnExercise('nobody')).toBeNull();
});

const aim = (
  text: string,
  createdAt: number,
  hornId: AimRecord['hornId'] = 'alto',
): Omit<AimRecord, 'id' | 'doneAt'> => ({
  hornId,
  text,
  goal: { figure: 'centsMean', zone: null, target: 5, wants: 'less' } as unknown as AimRecord['goal'],
  byDay: null,
  createdAt,
});

it('lists the aims of a horn, those that count first, the newest before the older', async () => {
  for (const [text, at] of [
    ['a', 1],
    ['b', 2],
    ['c', 3],
  ] as const)
    await addAim(aim(text, at));
  await addAim(aim('of the tenor', 9, 'tenor'));
  await addAim(aim('x'.repeat(MOST_AIM_TEXT + 5), 0));
  const [newest] = await listAims('alto');
  await finishAim(newest.id, 77);
  const texts = async () => (await listAims('alto')).map(({ text }) => text.slice(0, 2));
  expect(await texts()).toEqual(['b', 'a', 'xx', 'c']);
  expect((await listAims('alto'))[2].text).toHaveLength(MOST_AIM_TEXT);
  await finishAim(newest.id, null);
  expect(await texts()).toEqual(['c', 'b', 'a', 'xx']);
});

const round = (id: string, startedAt: number, change: Partial<RoundRecord> = {}): RoundRecord => ({
  id,
  startedAt,
  hornId: 'alto',
  exercise: swell(67),
  address: '/stand/swell?note=67',
  ...change,
});

async function keep(id: string, startedAt: number, roundId: string, deletedAt: number | null = null) {
  const take = { ...TEST_TAKE, id, state: 'kept' as const, startedAt, roundId, deletedAt };
  await finishTake(take, new FrameTrack(0).columns);
}

it('finds rounds by family and horn, by address, and with their takes as they were played', async () => {
  await storeRound(round('second', 20));
  await storeRound(round('first', 10));
  await storeRound(round('tenor', 5, { hornId: 'tenor', address: '/elsewhere' }));
  await storeRound(round('scale', 6, { exercise: swell(60, 'fullScales'), address: '/elsewhere' }));
  await keep('b', 12, 'first');
  await keep('a', 11, 'first');
  await keep('gone', 13, 'first', 1);
  await keep('c', 21, 'second');
  expect((await listRounds('swell', 'alto')).map(({ id }) => id)).toEqual(['first', 'second']);
  expect(await readRound('tenor')).toMatchObject({ hornId: 'tenor' });
  expect(await readRound('nobody')).toBeNull();
  expect((await readRoundTakes('first')).map(({ id }) => id)).toEqual(['a', 'b']);
  expect((await takesOfRounds(['second', 'first'])).map(({ id }) => id)).toEqual(['a', 'b', 'c']);
  const at = await roundsAt('/stand/swell?note=67');
  expect(at.map(({ round: { id }, takes }) => [id, ...takes.map((take) => take.id)])).toEqual([
    ['first', 'a', 'b'],
    ['second', 'c'],
  ]);
  expect([...(await lastRounds(20))]).toEqual([
    ['/elsewhere', 6],
    ['/stand/swell?note=67', 10],
  ]);
  expect((await lastRounds(21)).get('/stand/swell?note=67')).toBe(20);
});

it('fixes trials, lists those that stay, the newest first, and brings one back', async () => {
  const trial = (createdAt: number) =>
    ({ hornId: 'alto', createdAt, question: { kind: 'own', text: 'why' } }) as unknown as Omit<
      TrialRecord,
      'id' | 'deletedAt'
    >;
  const older = await addTrial(trial(1));
  const newer = await addTrial(trial(2));
  expect((await listTrials()).map(({ id }) => id)).toEqual([newer, older]);
  await deleteTrial(newer, 5);
  expect((await listTrials()).map(({ id }) => id)).toEqual([older]);
  // What was deleted can still be read: its takes stay.
  expect(await readTrial(newer)).toMatchObject({ deletedAt: 5 });
  await deleteTrial(newer, null);
  expect(await listTrials()).toHaveLength(2);
  expect(await readTrial('nobody')).toBeNull();
  expect(trialAddress('x')).toBe('/stand/trial/x');
});

it('puts a reed on its own horn only, keeps what was said of it, and takes it off when it retires', async () => {
  await addReed('alto', 'k'.repeat(MOST_REED_NAME + 1), 'n'.repeat(MOST_REED_NAME + 1), 1);
  await addReed('alto', 'soft', 'second', 2);
  await addReed('tenor', 'hard', 'third', 3);
  const [first, second] = await listReeds('alto');
  expect([first.kind.length, first.name.length]).toEqual([MOST_REED_NAME, MOST_REED_NAME]);
  expect(await readSettings()).toMatchObject({
    reedIds: { alto: second.id },
    reedKinds: { alto: 'soft', tenor: 'hard' },
  });
  await putOnReed(first);
  await retireReed(second, 9);
  expect((await readSettings()).reedIds.alto).toBe(first.id);
  await retireReed(first, 10);
  expect((await readSettings()).reedIds.alto).toBeUndefined();
  expect((await readSettings()).reedKinds.tenor).toBe('hard');
  await retireReed(first, null);
  expect((await listReeds('alto'))[0].retiredAt).toBeNull();
  const remark = { at: 1, text: 'r'.repeat(MOST_REMARK + 1) } as unknown as Parameters<
    typeof remarkOnReed
  >[1];
  await remarkOnReed(first.id, remark);
  await remarkOnReed(first.id, { ...remark, text: 'x' });
  expect((await listReeds('alto'))[0].remarks.map(({ text }) => text.length)).toEqual([MOST_REMARK, 1]);
});

it('lists the days of one set-up of one player, oldest first, and the set-up that was played last first', async () => {
  const day = (setup: string, source: 'microphone' | 'standIn', date: string) => ({
    id: `${setup}/${source}/${date}`,
    setup,
    source,
    day: date,
    cells: new Float32Array(0),
  });
  await database().tendencyDays.bulkPut([
    day('a|soft', 'microphone', '2026-02-01'),
    day('a|soft', 'microphone', '2026-01-01'),
    day('b|', 'microphone', '2026-03-01'),
    day('c|', 'standIn', '2026-04-01'),
  ]);
  const days = async (from?: string) =>
    (await listTendencyDays('a|soft', 'microphone', from)).map((each) => each.day);
  expect(await days()).toEqual(['2026-01-01', '2026-02-01']);
  expect(await days('2026-01-02')).toEqual(['2026-02-01']);
  expect(await listTendencyDays('a|soft', 'standIn')).toEqual([]);
  expect(await listSetups('microphone')).toEqual([
    { setup: 'b|', lastDay: '2026-03-01' },
    { setup: 'a|soft', lastDay: '2026-02-01' },
  ]);
  expect(await listSetups('standIn')).toEqual([{ setup: 'c|', lastDay: '2026-04-01' }]);
});

it('changes one setting and leaves the others', async () => {
  await changeSettings(() => ({ tempoBpm: 72 }));
  await changeSettings(({ tempoBpm }) => ({ tempoBpm: tempoBpm + 1 }));
  expect(await readSettings()).toMatchObject({ tempoBpm: 73, a4Hz: 440 });
});
