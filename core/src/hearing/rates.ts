import { createHalfBandDecimator, createResampler, SampleRing } from '../signal/index.ts';

/** Above this rate nothing is heard: faster sound is halved before anything else looks at it. */
const MOST_FULL_RATE_HZ = 50000;
export const RATE_24_HZ = 24000;
/** Up to here the sound at 24 kHz is true: all of the breath, and sixteen harmonics of a note under 440 Hz. */
export const FLAT_24_HZ = 8400;
/** The same, as shares of the rate, for 48 kHz (14 kHz counts) and for the rates in which pitch is heard. */
const FULL_FLAT_TO = 0.35;
const PITCH_FLAT_TO = 0.433;

/** One sound at the rates at which the parts of the ear look at it; sample n of each stands at n / rate. */
export interface Rates {
  fullRateHz: number;
  full: SampleRing;
  at24: SampleRing;
  at12: SampleRing;
  at6: SampleRing;
  /** Takes samples `from` up to `to`, at most 256 of them. */
  push(samples: Float32Array, from: number, to: number): void;
}

/** The rates of one sound of `sampleRateHz`; samples are pushed into them in order. */
export function createRates(sampleRateHz: number): Rates {
  const first = new SampleRing(sampleRateHz / 3);
  const steps: (() => void)[] = [];
  const halve = (source: SampleRing, out: SampleRing, flatTo: number) => {
    steps.push(createHalfBandDecimator(source, out, flatTo));
    return out;
  };
  let fullRateHz = sampleRateHz;
  let full = first;
  while (fullRateHz > MOST_FULL_RATE_HZ && fullRateHz % 2 === 0) {
    fullRateHz /= 2;
    full = halve(full, new SampleRing(fullRateHz / 3), FULL_FLAT_TO);
  }
  const at24 = fullRateHz === RATE_24_HZ ? full : new SampleRing(RATE_24_HZ / 3);
  if (fullRateHz === 2 * RATE_24_HZ) halve(full, at24, FLAT_24_HZ / RATE_24_HZ);
  else if (at24 !== full) steps.push(createResampler(fullRateHz, RATE_24_HZ, full, at24));
  const at12 = halve(at24, new SampleRing(RATE_24_HZ / 6), PITCH_FLAT_TO);
  const at6 = halve(at12, new SampleRing(RATE_24_HZ / 12), PITCH_FLAT_TO);
  return {
    fullRateHz,
    full,
    at24,
    at12,
    at6,
    push(samples, from, to) {
      first.appendFrom(samples, from, to);
      for (const step of steps) step();
    },
  };
}
