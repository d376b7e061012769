import FFT from 'fft.js';
import { dbFromPower, hannInto } from '../signal/index.ts';
import { RATE_24_HZ, type Rates } from './rates.ts';

/** 21 ms: short enough to say when the air began. */
const SIZE = 512;
/** Breath is loudest against a room here. */
const FROM_BIN = Math.round((2000 * SIZE) / RATE_24_HZ);
const TO_BIN = Math.round((8000 * SIZE) / RATE_24_HZ);

/**
 * Returns a function of a moment in seconds: the RMS of the band 2-8 kHz in a Hann window of 21 ms around it, in dBFS.
 */
export function createAirMeter({ at24 }: Rates): (seconds: number) => number {
  const { data } = at24;
  const fft = new FFT(SIZE);
  const window = new Float64Array(SIZE);
  hannInto(window, SIZE);
  const windowEnergy = window.reduce((sum, value) => sum + value * value, 0);
  const input = new Array<number>(SIZE).fill(0);
  const output = fft.createComplexArray();
  return (seconds) => {
    const offset = at24.offsetOf(Math.round(seconds * RATE_24_HZ) - SIZE / 2);
    for (let n = 0; n < SIZE; n++) input[n] = window[n] * data[offset + n];
    fft.realTransform(output, input);
    let sum = 0;
    for (let bin = FROM_BIN; bin <= TO_BIN; bin++) sum += output[2 * bin] ** 2 + output[2 * bin + 1] ** 2;
    // Parseval, one-sided.
    return dbFromPower((2 * sum) / (SIZE * windowEnergy));
  };
}
