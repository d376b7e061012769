import { dbFromPower, hannInto } from '../signal/index.ts';

/** A leak this far over the room is heard beside the player. */
const HARMLESS_DB = 6;
/** An input that gives more exact zeros than this share is not open yet: even a quiet room moves the last bit. */
const DEAD_SHARE = 0.1;

/**
 * How loud a drone from the app's own loudspeaker is at the microphone, in dBFS: the power of its partials in a sound of
 * at least 0.2 s in which only the drone and the room are heard. `partialsHz` are the frequencies it is made of. Null where
 * the sound cannot tell, because the input gave none for a part of it.
 */
export function droneLeakDb(
  samples: Float32Array,
  sampleRateHz: number,
  partialsHz: readonly number[],
): number | null {
  const dead = samples.reduce((count, value) => count + Number(value === 0), 0);
  if (dead > DEAD_SHARE * samples.length) return null;
  const window = new Float64Array(samples.length);
  hannInto(window, samples.length);
  const weight = window.reduce((sum, value) => sum + value, 0);
  const power = partialsHz.reduce((total, hz) => {
    const turn = (2 * Math.PI * hz) / sampleRateHz;
    let re = 0;
    let im = 0;
    for (let n = 0; n < samples.length; n++) {
      re += window[n] * samples[n] * Math.cos(turn * n);
      im -= window[n] * samples[n] * Math.sin(turn * n);
    }
    return total + (2 * (re * re + im * im)) / (weight * weight);
  }, 0);
  return dbFromPower(power);
}

/**
 * Whether a drone of that leak spoils the hearing of pitch and onset: then headphones are to be asked for, and without
 * them a take's pitch and onset are not judged.
 */
export function droneSpoils(leakDb: number, roomFloorDb: number): boolean {
  return leakDb > roomFloorDb + HARMLESS_DB;
}
