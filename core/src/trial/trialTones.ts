import type { Attack } from '../exercise/index.ts';

/** One of the two cues of a trial. */
export type Side = 'a' | 'b';

/** What is played with either cue. */
export const TRIAL_TONES = ['softStart', 'longTone', 'swell'] as const;
export type TrialTone = (typeof TRIAL_TONES)[number];

export const TRIAL_ATTACKS = ['any', 'tongued', 'breath'] as const satisfies readonly Attack[];
export type TrialAttack = (typeof TRIAL_ATTACKS)[number];

/** What each tone is made of. */
export const TONES: Record<
  TrialTone,
  { beats: number; marks: [beat: number, mark: string][]; attack: TrialAttack }
> = {
  softStart: {
    beats: 4,
    marks: [
      [0, 'pp'],
      [4, 'pp'],
    ],
    attack: 'breath',
  },
  longTone: {
    beats: 8,
    marks: [
      [0, 'mf'],
      [8, 'mf'],
    ],
    attack: 'any',
  },
  swell: {
    beats: 8,
    marks: [
      [0, 'pp'],
      [4, 'ff'],
      [8, 'pp'],
    ],
    attack: 'any',
  },
};

/** How a note begins with both cues where beginnings are not the question. */
export const usualAttacks = (tone: TrialTone): Record<Side, TrialAttack> => ({
  a: TONES[tone].attack,
  b: TONES[tone].attack,
});
