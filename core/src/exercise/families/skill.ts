/** What of playing is practised; `own` is an exercise of the player's own, whatever it is good for. */
export const SKILLS = [
  'start',
  'hold',
  'swell',
  'line',
  'ear',
  'overtone',
  'subtone',
  'voicing',
  'compare',
  'own',
] as const;
export type Skill = (typeof SKILLS)[number];
