import { timeOf } from './demoTime.ts';
import { keepDemoTake } from './keepDemoTake.ts';
import { seedHigh } from './seedHigh.ts';
import { seedLadder } from './seedLadder.ts';
import { seedMap } from './seedMap.ts';
import { seedRounds } from './seedRounds.ts';
import { seedShelf } from './seedShelf.ts';
import { buildSwell, type SwellShape } from '@inner-hum/core/exercise';
import { writtenMidi } from '@inner-hum/core/horn';
import { PROFILES, STEADY_HAND, WARM_UP, type StandInProfile } from '@inner-hum/core/standin';
import { changeSettings, listTakes, readSettings } from '../../storage/index.ts';
import type { SessionClient } from '../../workers/index.ts';

interface DemoTake {
  daysAgo: number;
  hour: number;
  note: number;
  shape: SwellShape;
  beats: number;
  profile: StandInProfile;
  blind?: boolean;
  playerNote?: string;
}

/** A made-up week of one alto player. What is said of these takes is worked out from their sound, here and now. */
const WEEK: DemoTake[] = [
  { daysAgo: 6, hour: 18.4, note: 67, shape: 'growFade', beats: 8, profile: PROFILES.airy },
  { daysAgo: 6, hour: 18.5, note: 67, shape: 'growFade', beats: 8, profile: PROFILES.slips },
  { daysAgo: 4, hour: 7.6, note: 71, shape: 'steady', beats: 12, profile: { ...WARM_UP, tendencyCents: 13 } },
  {
    daysAgo: 3,
    hour: 18.7,
    note: 58,
    shape: 'fade',
    beats: 8,
    blind: true,
    playerNote: 'New reed. Thought it was true all the way.',
    profile: { ...WARM_UP, bendCentsPer10Db: -13, stairs: [{ atBeat: 4.4, holdSeconds: 1 }] },
  },
  { daysAgo: 1, hour: 19.1, note: 74, shape: 'growFade', beats: 8, profile: PROFILES.stair },
  {
    daysAgo: 0,
    hour: 7.5,
    note: 69,
    shape: 'growFade',
    beats: 8,
    profile: { ...STEADY_HAND, ...PROFILES.steady },
  },
];

/** Fills an empty demo database through the same worker that keeps played takes. Does nothing twice. */
export async function seedDemo(client: SessionClient): Promise<void> {
  if ((await readSettings()).visited || (await listTakes()).length > 0) return;
  const today = new Date();
  for (const [i, take] of WEEK.entries()) {
    const exercise = buildSwell({
      note: writtenMidi(take.note),
      shape: take.shape,
      beats: take.beats,
      tempoBpm: 60,
      start: 'playToStart',
    });
    await keepDemoTake(client, {
      exercise,
      profile: take.profile,
      seed: 100 + i,
      eyes: take.blind ? 'blind' : 'watch',
      startedAt: timeOf(today, take.daysAgo, take.hour),
      ...(take.playerNote && { playerNote: take.playerNote }),
    });
  }
  await seedRounds(client, today);
  await seedLadder(client, today);
  await seedHigh(client, today);
  await seedMap(client, today);
  await seedShelf(today.getTime());
  await changeSettings({ visited: true, source: 'standIn' });
}
