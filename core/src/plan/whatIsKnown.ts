import type { Experience, FamilyId } from '../exercise/index.ts';
import type { PractisedNote } from '../practice/index.ts';

/** Air and long tones: everything else is built on them, and nobody meets them as something new. */
const BASICS: readonly FamilyId[] = ['airThenNote', 'longHold', 'swell', 'chromaticTones'];
/** Whether a drill is one of air and long tones. */
export const isBasic = (family: FamilyId) => BASICS.includes(family);

/** What somebody who has played for some years has met before they met this app. */
const ORDINARY: readonly FamilyId[] = [
  ...BASICS,
  'fullScales',
  'breakDrill',
  'intervalTones',
  'vibratoTones',
];
const MET_BEFORE: Record<Experience, readonly FamilyId[]> = {
  firstYear: BASICS,
  someYears: ORDINARY,
  advanced: [
    ...ORDINARY,
    'octaveRestart',
    'quietDescent',
    'returnToBottom',
    'pairedSwells',
    'wideningDown',
    'overtoneHits',
    'overtoneClimb',
  ],
};

/** The share of its usual tempo at which a drill is asked for: in the first year the same one goes slower. */
export const tempoShareOf = (experience: Experience | null) => (experience === 'firstYear' ? 0.8 : 1);

/** So many drills that were never played before come in a day: a new one takes attention that the others need too. */
export const MOST_NEW = 2;

/** Whether a drill was never met before a day began (ms): what is met today is new all day. Who was not asked is taken as advanced. */
export function newTo(
  history: readonly PractisedNote[],
  dayStart: number,
  experience: Experience | null,
): (family: string) => boolean {
  const known = new Set<string | null>(history.filter(({ at }) => at < dayStart).map(({ family }) => family));
  for (const id of MET_BEFORE[experience ?? 'advanced']) known.add(id);
  return (family) => !known.has(family);
}

/** The drills met today for the first time. */
export function metToday(
  history: readonly PractisedNote[],
  dayStart: number,
  experience: Experience | null,
): ReadonlySet<string> {
  const isNew = newTo(history, dayStart, experience);
  return new Set(
    history.flatMap(({ family, at }) => (family !== null && at >= dayStart && isNew(family) ? [family] : [])),
  );
}
