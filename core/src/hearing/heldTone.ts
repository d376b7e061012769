import { clarityAt } from './clarity.ts';
import { LONG_WINDOW_BELOW_HZ, spectrumFor, type DualSpectrum } from './dualSpectrum.ts';
import type { Candidates } from './pitchCandidates.ts';

/** What has been heard for so many frames is a tone that can be held. */
const HELD_FRAMES = 4;
/** How its power grew is told over so many. */
const KEPT_FRAMES = 10;
/** The highest partial for which a held tone is mistaken. */
const HIGHEST_PARTIAL = 8;
const NEAR_SHARE = 0.03;
/** A partial whose clarity is short of 1 by less than this sounds alone: nothing of the held tone is left. */
const NOT_PERIODIC = 0.02;
/** The clarity of the held tone is short of 1 by at most this share of that. */
const LESS_NOISE = 0.5;
/** By so much, in power, the harmonics of a partial grow within the held frames where the horn goes over to it. */
const GROWN = 10 ** 0.6;
const HARMONICS = 16;
/** Harmonics that two notes a fifth or a fourth apart leave out of those of their common fundamental. */
const OF_ONE_TONE = [1, 5, 7, 11, 13];
/** So much of its power lies in those where it is one tone. */
const OWN_SHARE = 0.01;

export interface HeldTone {
  /** Puts the tone that was held so far before the best candidate of the newest frame, where it still sounds. */
  keep(spectra: DualSpectrum, hasLong: boolean, out: Candidates): void;
}

/**
 * In a room the echoes of a harmonic may nearly cancel it at the microphone. Where those that a partial does not share are weak for a while,
 * the comb reads that partial; but what is left of them still repeats at the tone's own period, and the partial's own harmonics are no
 * louder than before. Where the horn goes over to the partial they grow at once, and what the tone leaves in the room dies away.
 */
export function createHeldTone(): HeldTone {
  let toneHz = 0;
  let frames = 0;
  let isOneTone = false;
  const before = Array.from({ length: KEPT_FRAMES }, () => new Float64Array(HARMONICS + 1));

  const isTone = (f0Hz: number) => Math.abs(f0Hz / toneHz - 1) <= NEAR_SHARE;

  function forget() {
    frames = 0;
    isOneTone = false;
  }

  /** Power of a harmonic of the tone in the newest frame; 0 above what the spectrum knows. */
  function powerOf(spectra: DualSpectrum, harmonic: number): number {
    const { power, binHz, topHz } = spectrumFor(spectra, toneHz);
    if (harmonic * toneHz > topHz) return 0;
    const below = Math.floor((harmonic * toneHz) / binHz);
    return Math.max(power[below], power[below + 1]);
  }

  function isHeld(spectra: DualSpectrum, bestHz: number): boolean {
    const partial = Math.round(bestHz / toneHz);
    if (partial < 2 || partial > HIGHEST_PARTIAL) return false;
    if (!isTone(bestHz / partial)) return false;
    const noise = 1 - clarityAt(spectra, bestHz);
    if (noise < NOT_PERIODIC || 1 - clarityAt(spectra, toneHz) > LESS_NOISE * noise) return false;
    const oldest = before[frames < KEPT_FRAMES ? 0 : frames % KEPT_FRAMES];
    let then = 0;
    let now = 0;
    for (let harmonic = partial; harmonic <= HARMONICS; harmonic += partial) {
      then += oldest[harmonic];
      now += powerOf(spectra, harmonic);
    }
    return now < GROWN * then;
  }

  function hasOwnHarmonics(power: Float64Array): boolean {
    const own = OF_ONE_TONE.reduce((sum, harmonic) => sum + power[harmonic], 0);
    const all = power.reduce((sum, one) => sum + one, 0);
    return own > OWN_SHARE * all;
  }

  function putFirst(out: Candidates) {
    const [best] = out.f0Hz;
    const found = out.f0Hz.findIndex((f0Hz, i) => i > 0 && i < out.count && isTone(f0Hz));
    const own = found > 0 ? out.f0Hz[found] : toneHz;
    // Where the tone was not found the last candidate makes room.
    out.f0Hz[found > 0 ? found : out.count - 1] = best;
    out.f0Hz[0] = own;
  }

  return {
    keep(spectra, hasLong, out) {
      if (out.count === 0) {
        forget();
        return;
      }
      const [bestHz] = out.f0Hz;
      const canTell = hasLong || toneHz >= LONG_WINDOW_BELOW_HZ;
      if (frames === 0 || !isTone(bestHz)) {
        if (frames >= HELD_FRAMES && isOneTone && canTell && isHeld(spectra, bestHz)) putFirst(out);
        else forget();
      }
      toneHz = out.f0Hz[0];
      const newest = before[frames % KEPT_FRAMES];
      for (let harmonic = 1; harmonic <= HARMONICS; harmonic++)
        newest[harmonic] = canTell ? powerOf(spectra, harmonic) : 0;
      isOneTone ||= hasOwnHarmonics(newest);
      frames++;
    },
  };
}
