/** What some drills wait behind until what they are built on goes well; nothing but a sheet asks for it. */
export const GATES = ['overtones', 'palm', 'subtone', 'widening', 'altissimo'] as const;
export type Gate = (typeof GATES)[number];

/** How long somebody has played, as they say themselves. */
export const EXPERIENCES = ['firstYear', 'someYears', 'advanced'] as const;
export type Experience = (typeof EXPERIENCES)[number];

/** Six weeks that lead somewhere, a step a week. */
export const PATH_IDS = ['firstTone', 'lowRegister', 'towardHigh'] as const;
export type PathId = (typeof PATH_IDS)[number];
export const STEPS_OF_PATH = 6;

/** How a player stands on a path: on which step (from 0; six: at its end), since when, in ms. */
export interface PathPlace {
  step: number;
  since: number;
}
