import { familyById, phraseExercise, type FamilyId } from '@inner-hum/core/exercise';
import { hornById } from '@inner-hum/core/horn';
import { STEADY_HAND, WARM_UP, type ItemFault, type StandInProfile } from '@inner-hum/core/standin';
import { drillAddress } from '../../session/index.ts';
import { storeRound } from '../../storage/index.ts';
import type { SessionClient } from '../../workers/index.ts';
import { timeOf } from './demoTime.ts';
import { keepDemoTake } from './keepDemoTake.ts';

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
      await keepDemoTake(client, {
        exercise: phraseExercise(exercise, phrase),
        profile,
        faults,
        seed: 300 + 10 * i + phrase,
        startedAt: startedAt + 30_000 * phrase,
        roundId,
        phrase,
      });
  }
}
