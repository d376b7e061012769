import { buildSwell } from '@inner-hum/core/exercise';
import { writtenMidi } from '@inner-hum/core/horn';
import { PROFILES, type SimulatedProfile } from '@inner-hum/core/simulated';

/** The six things a ribbon can show, in the order they are taught. */
export const LESSONS = ['fat', 'thin', 'sharp', 'flat', 'airy', 'torn'] as const;
export type Lesson = (typeof LESSONS)[number];

const SECONDS = 4;
const AT_SECONDS = 1.1;

/** One held note; what goes wrong with it comes in the middle, so that right and wrong stand side by side. */
export const LESSON_EXERCISE = buildSwell({
  note: writtenMidi(67),
  shape: 'steady',
  beats: SECONDS,
  tempoBpm: 60,
  start: 'playToStart',
});
export const LESSON_SECONDS = SECONDS;

const swerve = (change: { cents?: number; levelDb?: number; breathDb?: number }): SimulatedProfile => ({
  ...PROFILES.steady,
  swerve: { atSeconds: AT_SECONDS, overSeconds: 1.2, cents: 0, levelDb: 0, breathDb: 0, ...change },
});

/** How the simulated player plays each lesson. */
export const LESSON_PROFILES: Record<Lesson, SimulatedProfile> = {
  fat: swerve({ levelDb: 9 }),
  thin: swerve({ levelDb: -9 }),
  sharp: swerve({ cents: 28 }),
  flat: swerve({ cents: -28 }),
  airy: swerve({ breathDb: 28 }),
  torn: { ...PROFILES.steady, jumps: [{ atSeconds: 1.6, lengthSeconds: 0.9, toPartial: 2 }] },
};

/** The lesson that the address asks for, or the first. */
export function readLesson(search: URLSearchParams): Lesson {
  return LESSONS.find((lesson) => lesson === search.get('word')) ?? LESSONS[0];
}
