import { familyById } from '../exercise/index.ts';

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

/** The skill that a family of drills is for first; `family`: its name, null for an own exercise. */
export function skillOf(family: string | null): Skill {
  if (family === null) return 'own';
  if (family.startsWith('overtone')) return 'overtone';
  if (/subtone/i.test(family)) return 'subtone';
  return familyById(family)?.purposes[0] ?? 'own';
}
