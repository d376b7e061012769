import type { HarmonicShape } from './spectrum.ts';

/**
 * The sums of a tone's harmonics at four phases of its fundamental, in radians, by sin((k+1)x) = 2 cos x sin kx - sin((k-1)x).
 * Four at once, as a sample's harmonics each wait for the one before: the processor works on the other three meanwhile.
 */
export function sumHarmonics(
  { count, amplitude }: HarmonicShape,
  phases: Float64Array,
  out: Float64Array,
): void {
  const twice0 = 2 * Math.cos(phases[0]);
  const twice1 = 2 * Math.cos(phases[1]);
  const twice2 = 2 * Math.cos(phases[2]);
  const twice3 = 2 * Math.cos(phases[3]);
  let sine0 = Math.sin(phases[0]);
  let sine1 = Math.sin(phases[1]);
  let sine2 = Math.sin(phases[2]);
  let sine3 = Math.sin(phases[3]);
  let [before0, before1, before2, before3] = [0, 0, 0, 0];
  let [sum0, sum1, sum2, sum3] = [0, 0, 0, 0];
  for (let k = 0; k < count; k++) {
    const gain = amplitude[k];
    sum0 += gain * sine0;
    sum1 += gain * sine1;
    sum2 += gain * sine2;
    sum3 += gain * sine3;
    const next0 = twice0 * sine0 - before0;
    const next1 = twice1 * sine1 - before1;
    const next2 = twice2 * sine2 - before2;
    const next3 = twice3 * sine3 - before3;
    before0 = sine0;
    before1 = sine1;
    before2 = sine2;
    before3 = sine3;
    sine0 = next0;
    sine1 = next1;
    sine2 = next2;
    sine3 = next3;
  }
  out[0] = sum0;
  out[1] = sum1;
  out[2] = sum2;
  out[3] = sum3;
}
