import { buildSwell, phraseExercise, type FamilyId, type SwellShape } from '@inner-hum/core/exercise';
import type { DemoRound } from '@inner-hum/core/formats';
import { writtenMidi } from '@inner-hum/core/horn';
import {
  PROFILES,
  STEADY_HAND,
  WARM_UP,
  type ItemFault,
  type SimulatedProfile,
} from '@inner-hum/core/simulated';
import { drillOf } from './phraseOf.ts';
import type { Scene } from './scene.ts';

interface Swell {
  daysAgo: number;
  hour: number;
  note: number;
  shape: SwellShape;
  beats: number;
  profile: SimulatedProfile;
  blind?: boolean;
  playerNote?: string;
}

/** Single swells, most of the last week, each with one thing that shows. */
const SWELLS: Swell[] = [
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
    playerNote: 'Not looking. Thought it was true all the way.',
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
  // Ten weeks ago with a step on the way up, last week without.
  {
    daysAgo: 68,
    hour: 18.3,
    note: 67,
    shape: 'growFade',
    beats: 8,
    playerNote: 'A step in the middle, every time.',
    profile: PROFILES.stair,
  },
  {
    daysAgo: 5,
    hour: 18.9,
    note: 67,
    shape: 'growFade',
    beats: 8,
    playerNote: 'No step left.',
    profile: { ...STEADY_HAND, ...PROFILES.steady },
  },
];

interface RoundOf {
  family: FamilyId;
  daysAgo: number;
  hour: number;
  note: number;
  to?: number;
  tempoBpm: number;
  phrases: { profile: SimulatedProfile; faults?: ItemFault[] }[];
}

/** Holds a low note until the pitch leaves, after so many seconds. */
const holdsFor = (seconds: number) => ({
  profile: {
    ...WARM_UP,
    jitterCents: 0.8,
    swerve: { atSeconds: seconds, overSeconds: 0.6, cents: -26, levelDb: 0, breathDb: 0 },
  },
});
const easy = { profile: { ...WARM_UP, bendCentsPer10Db: -5, tendencyCents: 0 } };

/** Whole rounds of the last week, phrase by phrase. */
const ROUNDS: RoundOf[] = [
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

/** The last week beside its sheets. */
export function weekScenes(): Scene {
  const swells = SWELLS.map(({ daysAgo, hour, note, shape, beats, profile, blind, playerNote }) => ({
    daysAgo,
    hour,
    exercise: buildSwell({ note: writtenMidi(note), shape, beats, tempoBpm: 60, start: 'playToStart' }),
    profile,
    eyes: blind ? ('blind' as const) : ('watch' as const),
    ...(playerNote && { playerNote }),
  }));
  const rounds: DemoRound[] = [];
  const phrases = ROUNDS.flatMap(({ family, daysAgo, hour, note, to, tempoBpm, phrases: played }, i) => {
    const choices = { note, to: to ?? note, tempoBpm };
    const exercise = drillOf(family, choices);
    const id = `demo-round-${i}`;
    rounds.push({ id, daysAgo, second: Math.round(3600 * hour), hornId: 'alto', of: { family, choices } });
    return played.map(({ profile, faults = [] }, phrase) => ({
      daysAgo,
      hour: hour + (30 * phrase) / 3600,
      exercise: phraseExercise(exercise, phrase),
      profile,
      faults,
      roundId: id,
      phrase,
    }));
  });
  return { takes: [...swells, ...phrases], rounds };
}
