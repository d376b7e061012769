import { DEVIATION_STEPS } from './palette.ts';

/** Under this the ear does not mind, and the ink stays plain. */
const PLAIN_CENTS = 5;
const FULL_CENTS = 26;

/** How far off a pitch is drawn: 0 plain ink to DEVIATION_STEPS full copper. */
export function deviationStep(cents: number): number {
  const share = (Math.abs(cents) - PLAIN_CENTS) / (FULL_CENTS - PLAIN_CENTS);
  return Math.max(0, Math.min(DEVIATION_STEPS, Math.ceil(share * DEVIATION_STEPS)));
}
