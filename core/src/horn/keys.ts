/** The keys of a saxophone by the finger that works them; the names stand in files. */
export const KEYS = [
  'oct',
  'thumbA',
  'frontF',
  'L1',
  'bis',
  'L2',
  'L3',
  'palmD',
  'palmEb',
  'palmF',
  'G#',
  'lowC#',
  'lowB',
  'lowBb',
  'R1',
  'R2',
  'R3',
  'sideBb',
  'sideC',
  'sideE',
  'altF#',
  'highF#',
  'highG',
  'Eb',
  'lowC',
] as const;
export type KeyId = (typeof KEYS)[number];

/** Keys that are pressed, in the order of `KEYS`. */
export type Fingering = readonly KeyId[];

/** Any keys as a fingering: each once, in order; what is no key is left out. */
export function fingeringOf(keys: Iterable<string>): Fingering {
  const pressed = new Set(keys);
  return KEYS.filter((key) => pressed.has(key));
}

/** Whether two fingerings are the same. */
export function isSameFingering(a: Fingering, b: Fingering): boolean {
  return a.length === b.length && a.every((key) => b.includes(key));
}

/** How many keys change from one fingering to another. */
export function keysMoved(from: Fingering, to: Fingering): number {
  return from.filter((key) => !to.includes(key)).length + to.filter((key) => !from.includes(key)).length;
}
