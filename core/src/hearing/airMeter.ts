import { dbFromPower } from '../signal/index.ts';
import { createPowerView } from './powerView.ts';
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
  const view = createPowerView(at24, RATE_24_HZ, SIZE / RATE_24_HZ);
  return (seconds) => {
    view.measure(at24.offsetOf(Math.round(seconds * RATE_24_HZ) - SIZE / 2));
    return dbFromPower(view.scale * view.sumOver(FROM_BIN, TO_BIN));
  };
}
