import { beforeEach, expect, it } from 'vitest';
import { DEFAULT_SCALE, familyById, type Exercise } from '@inner-hum/core/exercise';
import { FrameTrack } from '@inner-hum/core/hearing';
import { hornById } from '@inner-hum/core/horn';
import { finishTake, recentTones, wallClock, type TakeRecord } from './index.ts';
import { emptyDatabaseInTests } from './emptyDatabaseInTests.ts';
import { TEST_TAKE } from './testTake.ts';

const build = (family: string, choices = {}): Exercise => {
  const exercise = familyById(family)?.build(hornById('alto'), choices);
  if (!exercise) throw new Error(family);
  return exercise;
};
const swell = build('swell', { note: 67 });
const full = build('longHold', { note: 62 });
const lonely = (() => {
  const { phrases, ...rest } = build('subtoneStarts', { note: 62 });
  return {
    ...rest,
    phrases: phrases.map((phrase) => ({
      ...phrase,
      items: phrase.items.filter((item) => item.kind !== 'note' || item.tone === 'subtone'),
    })),
  };
})();

const PLAYER = {
  hornId: 'alto',
  source: 'microphone',
  mouthpieceId: 'alto.first',
  reedKind: '',
  reedId: '',
} as const;

const measures = (change: object) => ({
  levelDb: -20,
  noiseToHarmonicDb: -30,
  centroidHarmonics: 4,
  softEndBreathDb: null,
  centroidSlopeHarmonicsPer10Db: null,
  ...change,
});

let clock = 1_000_000;
beforeEach(emptyDatabaseInTests);

async function keep(exercise: Exercise, figures: object, change: Partial<TakeRecord> = {}) {
  clock += 1000;
  const take = {
    ...TEST_TAKE,
    ...PLAYER,
    id: `t${clock}`,
    state: 'kept' as const,
    startedAt: clock,
    ...wallClock(clock),
    context: {
      exercise,
      hornId: 'alto',
      a4Hz: 440,
      scale: DEFAULT_SCALE,
    } as unknown as TakeRecord['context'],
    analysis: {
      items: [{ kind: 'note', item: 0, status: 'played', measures: measures(figures), events: [] }],
    } as unknown as TakeRecord['analysis'],
    ...change,
  };
  await finishTake(take, new FrameTrack(0).columns);
}

it('asks nothing where an exercise asks for neither a subtone alone nor a swell', async () => {
  await keep(full, {});
  expect(await recentTones(full, PLAYER)).toEqual({});
});

it('gives the middle of the full tones of a note that is asked for as a subtone alone', async () => {
  for (const levelDb of [-30, -20, -10]) await keep(full, { levelDb, centroidHarmonics: -levelDb });
  // Of another player, set-up or day's list; with a figure missing; of another note; not steady; not full.
  await keep(full, { levelDb: 0 }, { source: 'standIn' });
  await keep(full, { levelDb: 0 }, { reedKind: 'hard' });
  await keep(full, { levelDb: 0 }, { deletedAt: 1 });
  await keep(full, { levelDb: 0, noiseToHarmonicDb: null });
  await keep(build('longHold', { note: 64 }), { levelDb: 0 });
  await keep(build('swell', { note: 62 }), { levelDb: 0 });
  await keep(lonely, { levelDb: 0 });
  const { fullTones } = await recentTones(lonely, PLAYER);
  expect(fullTones?.[62]).toEqual({ levelDb: -20, noiseToHarmonicDb: -30, centroidHarmonics: 20 });
  expect(Object.keys(fullTones ?? {})).toEqual(['62']);
});

it('knows what is usual at the soft end of a swell once there were five, by the newest eighty takes', async () => {
  const soft = (softEndBreathDb: number, centroidSlopeHarmonicsPer10Db: number) =>
    keep(swell, { softEndBreathDb, centroidSlopeHarmonicsPer10Db });
  for (const db of [-9, -8, -7, -6]) await soft(db, -db);
  expect(await recentTones(swell, PLAYER)).toEqual({
    fullTones: {},
    usualSoftBreathDb: null,
    usualColourSlope: null,
  });
  await soft(-5, 5);
  expect(await recentTones(swell, PLAYER)).toMatchObject({ usualSoftBreathDb: -7, usualColourSlope: 7 });
  for (let i = 0; i < 80; i++) await soft(-20, 1);
  expect(await recentTones(swell, PLAYER)).toMatchObject({ usualSoftBreathDb: -20, usualColourSlope: 1 });
});
