import { DEFAULT_SCALE, familyById, phraseExercise, type FamilyId } from '@inner-hum/core/exercise';
import { hornById } from '@inner-hum/core/horn';
import { STEADY_HAND, WARM_UP, type ItemFault, type StandInProfile } from '@inner-hum/core/standin';
import { drillAddress } from '../../session/index.ts';
import { storeRound } from '../../storage/index.ts';
import type { SessionClient } from '../../workers/index.ts';

export const DEMO_RATE_HZ = 48000;

interface DemoPhrase {
  profile: StandInProfile;
  faults?: ItemFault[];
}

interface DemoRound {
  family: FamilyId;
  daysAgo: number;
  hour: number;
  note: number;
  to?: number;
  tempoBpm: number;
  phrases: DemoPhrase[];
}

const HORN = hornById('alto');

/** Holds a low note until the pitch leaves, after so many seconds. */
const holdsFor = (seconds: number): DemoPhrase => ({
  profile: {
    ...WARM_UP,
    jitterCents: 0.8,
    swerve: { atSeconds: seconds, overSeconds: 0.6, cents: -26, levelDb: 0, breathDb: 0 },
  },
});

const easy: DemoPhrase = { profile: { ...WARM_UP, bendCentsPer10Db: -5, tendencyCents: 0 } };

/** Rounds of an invented player in that week, phrase by phrase. */
const ROUNDS: DemoRound[] = [
  {
    family: 'longHold',
    daysAgo: 5,
    hour: 18.2,
    note: 58,
    tempoBpm: 84,
    phrases: [13.2, 17.1, 18.4].map(holdsFor),
  },
  {
    family: 'longHold',
    daysAgo: 3,
    hour: 18.2,
    note: 60,
    tempoBpm: 84,
    phrases: [17.6, 19.3, 20.1].map(holdsFor),
  },
  {
    family: 'pairedSwells',
    daysAgo: 1,
    hour: 18.6,
    note: 58,
    to: 59,
    tempoBpm: 60,
    phrases: [
      { profile: easy.profile, faults: [{ item: 0, kind: 'slowAnswer', responseMs: 380 }] },
      easy,
      { profile: easy.profile, faults: [{ item: 1, kind: 'latePeak', beats: 0.7 }] },
      { profile: { ...WARM_UP, bendCentsPer10Db: -13 } },
    ],
  },
  {
    family: 'quietDescent',
    daysAgo: 0,
    hour: 7.8,
    note: 61,
    tempoBpm: 100,
    phrases: [
      {
        profile: { ...STEADY_HAND, ...easy.profile },
        faults: [{ item: 3, kind: 'slip', atSeconds: 1, lengthSeconds: 0.5, toPartial: 2 }],
      },
    ],
  },
];

export function timeOf(today: Date, daysAgo: number, hour: number): number {
  const time = new Date(today);
  time.setDate(today.getDate() - daysAgo);
  time.setHours(Math.floor(hour), Math.round((hour % 1) * 60), 0, 0);
  return time.getTime();
}

/** Plays the rounds through the worker that keeps played takes. */
export async function seedRounds(client: SessionClient, today: Date): Promise<void> {
  for (const [i, { family: id, daysAgo, hour, note, to, tempoBpm, phrases }] of ROUNDS.entries()) {
    const family = familyById(id);
    if (!family) continue;
    const choices = { note, to: to ?? note, tempoBpm };
    const exercise = family.build(HORN, choices);
    const startedAt = timeOf(today, daysAgo, hour);
    const roundId = `demo-round-${i}`;
    await storeRound({
      id: roundId,
      startedAt,
      hornId: HORN.id,
      exercise,
      address: drillAddress(family, HORN, choices),
    });
    for (const [phrase, { profile, faults = [] }] of phrases.entries())
      await client.remote.keepStandIn({
        performance: {
          exercise: phraseExercise(exercise, phrase),
          hornId: HORN.id,
          a4Hz: 440,
          scale: DEFAULT_SCALE,
          profile,
          faults,
          sampleRateHz: DEMO_RATE_HZ,
          seed: 300 + 10 * i + phrase,
        },
        eyes: 'watch',
        startedAt: startedAt + 30_000 * phrase,
        playerNote: '',
        roundId,
        phrase,
      });
  }
}
