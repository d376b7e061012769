import { CoreError } from '../signal/index.ts';
import { createAirMeter } from './airMeter.ts';
import { clarityAt } from './clarity.ts';
import { createCombScore, SAME_TONE_SHARE } from './combScore.ts';
import { curveCorrectionCents } from './curvedPitch.ts';
import { createDualSpectrum, createDualSpectrumStage, pitchWindowSeconds } from './dualSpectrum.ts';
import { FRAME_SECONDS, type FrameTrack } from './frames.ts';
import { createLevelMeter } from './levelMeter.ts';
import { createCandidates } from './pitchCandidates.ts';
import { createPitchPath, PATH_LOOK_AHEAD } from './pitchPath.ts';
import { createRates, RATE_24_HZ } from './rates.ts';
import { refinePitch } from './refinePitch.ts';
import { createTonePath } from './tonePath.ts';

/** Rates of sound that can be heard. */
export const MIN_RATE_HZ = 8000;
export const MAX_RATE_HZ = 192000;

export interface ListenerConfig {
  /** Whole number of Hz, 8000-192000. A new rate needs a new listener. */
  sampleRateHz: number;
  /**
   * First partial, in Hz, of the tube that is known to be fingered. Its partials win where two readings of a frame are
   * as good as even, and `unaidedHz` keeps what was heard without that knowledge where it differs. Null, the default:
   * nothing is expected.
   */
  expectedTubeHz?: number | null;
}

/** Hears one continuous sound. Sample 0 is time 0; the same samples always give the same frames. */
export interface Listener {
  /**
   * Takes the next samples, mono, full scale = 1, and appends every frame they complete to `out`.
   * Throws `samples-not-finite` for NaN or infinite samples, before any of them is used.
   */
  push(samples: Float32Array, out: FrameTrack): void;
  /** The sound has ended: appends the frames still waiting. No push after this. */
  finish(out: FrameTrack): void;
}

const HOP_24 = RATE_24_HZ * FRAME_SECONDS;
const HOP_12 = 12000 * FRAME_SECONDS;
const HOP_6 = 6000 * FRAME_SECONDS;
const SPECTRA_KEPT = PATH_LOOK_AHEAD + 1;
const HALF_SPECTRUM = 256;
const COLOUR_REACH_24 = 1024;
/** Between looks for a complete frame: less than a frame, however the sound is cut, so that every cut gives the same. */
const LOOK_SECONDS = 0.005;
const MOST_BLOCK = 256;

/** How much a partial of the expected tube is favoured: ties only; scores of clear tones differ by more. */
const TIE_SCORE = 0.05;
const PARTIAL_SHARE = 0.035;

function favourPartialsOf(tubeHz: number): (f0Hz: number) => number {
  return (f0Hz) => {
    const partial = Math.max(1, Math.round(f0Hz / tubeHz));
    return Math.abs(f0Hz / (partial * tubeHz) - 1) < PARTIAL_SHARE ? TIE_SCORE : 0;
  };
}

/** The pipeline: resample -> two spectra -> comb -> path -> refine -> clarity, level, colour -> frame. */
export function createListener({ sampleRateHz, expectedTubeHz = null }: ListenerConfig): Listener {
  if (!Number.isInteger(sampleRateHz) || sampleRateHz < MIN_RATE_HZ || sampleRateHz > MAX_RATE_HZ)
    throw new CoreError(
      'sample-rate-unsupported',
      `Sample rate must be ${MIN_RATE_HZ}-${MAX_RATE_HZ} Hz, got ${sampleRateHz}.`,
    );
  const rates = createRates(sampleRateHz);
  const { full, fullRateHz, at24, at12, at6 } = rates;
  const level = createLevelMeter(full, fullRateHz);
  const airDbAt = createAirMeter(rates);
  const spectrumStage = createDualSpectrumStage(at12, at6);
  const spectra = Array.from({ length: SPECTRA_KEPT }, createDualSpectrum);
  const comb = createCombScore();
  const candidates = createCandidates();
  const path = createPitchPath();
  const aidedPath = expectedTubeHz === null ? null : createPitchPath(favourPartialsOf(expectedTubeHz));
  const tonePath = createTonePath(rates, sampleRateHz);
  const bestRoughHz = new Float64Array(SPECTRA_KEPT);
  const bestRefinedHz = new Float64Array(SPECTRA_KEPT);
  /** Refined pitch of the two frames before, NaN where there was none. */
  const refinedHz = new Float64Array(2).fill(NaN);
  let analysed = 0;
  let emitted = 0;
  /** The frame that was tried early in vain. */
  let waitingFor = -1;
  let taken = 0;
  const block = Math.min(MOST_BLOCK, Math.floor(LOOK_SECONDS * sampleRateHz));
  const silence = new Float32Array(block);

  /** Takes samples `from` up to `to`, at most `block` of them. */
  function feed(samples: Float32Array, from: number, to: number) {
    rates.push(samples, from, to);
    taken += to - from;
    level.pull();
  }

  /** `refinePitch`, once for each frame's best candidate: two earlier frames ask for it before its own turn. */
  function refinedAt(slot: number, roughHz: number): number {
    if (roughHz !== bestRoughHz[slot]) return refinePitch(spectra[slot], roughHz);
    if (Number.isNaN(bestRefinedHz[slot])) bestRefinedHz[slot] = refinePitch(spectra[slot], roughHz);
    return bestRefinedHz[slot];
  }

  /** The refined pitch of a frame that the path has not decided yet; NaN where another one stands out there. */
  function pitchAhead(frame: number, nearHz: number): number {
    const slot = frame % SPECTRA_KEPT;
    const best = frame < analysed ? bestRoughHz[slot] : 0;
    return Math.abs(best / nearHz - 1) < SAME_TONE_SHARE ? refinedAt(slot, best) : NaN;
  }

  /** The pitch of a frame seen together with two frames before and after it. */
  function curvedPitch(frame: number, f0Hz: number): number {
    const cents = (hz: number) => 1200 * Math.log2(hz / f0Hz);
    const correction = curveCorrectionCents(
      cents(refinedHz[0]),
      cents(refinedHz[1]),
      cents(pitchAhead(frame + 1, f0Hz)),
      cents(pitchAhead(frame + 2, f0Hz)),
      pitchWindowSeconds(f0Hz),
    );
    refinedHz[0] = refinedHz[1];
    refinedHz[1] = f0Hz;
    return f0Hz * 2 ** (correction / 1200);
  }

  function emit(roughHz: number, unaidedHz: number, out: FrameTrack) {
    const frame = emitted++;
    const here = spectra[frame % SPECTRA_KEPT];
    const seconds = frame * FRAME_SECONDS;
    const levelDb = level.levelDbAt(seconds);
    const unaided = roughHz === unaidedHz ? NaN : unaidedHz;
    if (roughHz === 0) {
      refinedHz.fill(NaN);
      const best = bestRoughHz[frame % SPECTRA_KEPT];
      out.append(
        NaN,
        best > 0 ? clarityAt(here, best) : 0,
        levelDb,
        NaN,
        NaN,
        airDbAt(seconds),
        null,
        unaided,
      );
      return;
    }
    const f0Hz = curvedPitch(frame, refinedAt(frame % SPECTRA_KEPT, roughHz));
    const { centroidHarmonics, noiseToHarmonicDb, partialsDb } = tonePath.measure(frame, seconds, f0Hz);
    out.append(
      f0Hz,
      clarityAt(here, f0Hz),
      levelDb,
      centroidHarmonics,
      noiseToHarmonicDb,
      NaN,
      partialsDb,
      unaided,
    );
  }

  /** Analyses the next frame; false where it must wait for its long window. */
  function analyse(withLong: boolean, out: FrameTrack): boolean {
    const slot = analysed % SPECTRA_KEPT;
    spectrumStage(analysed * HOP_12, withLong, spectra[slot]);
    if (!comb.search(spectra[slot], withLong, candidates)) return false;
    bestRoughHz[slot] = candidates.count > 0 ? candidates.f0Hz[0] : 0;
    bestRefinedHz[slot] = NaN;
    analysed++;
    const decided = path.push(candidates);
    const aided = aidedPath?.push(candidates) ?? decided;
    if (decided !== null && aided !== null) emit(aided, decided, out);
    return true;
  }

  function advance(out: FrameTrack) {
    for (;;) {
      const whole = at6.end >= analysed * HOP_6 + HALF_SPECTRUM;
      const early =
        !whole &&
        analysed !== waitingFor &&
        at12.end >= analysed * HOP_12 + HALF_SPECTRUM &&
        // The colour of the frame that is decided with this one needs its own window.
        at24.end >= (analysed - PATH_LOOK_AHEAD) * HOP_24 + COLOUR_REACH_24 &&
        comb.canSearchEarly();
      if (!whole && !early) return;
      if (!analyse(whole, out)) waitingFor = analysed;
    }
  }

  return {
    push(samples, out) {
      refuseWhatIsNoNumber(samples);
      for (let start = 0; start < samples.length; start += block) {
        const end = Math.min(samples.length, start + block);
        feed(samples, start, end);
        advance(out);
      }
    },
    finish(out) {
      const frames = Math.floor(taken / sampleRateHz / FRAME_SECONDS + 1e-9) + 1;
      while (analysed < frames) {
        feed(silence, 0, block);
        advance(out);
      }
      for (let age = Math.min(PATH_LOOK_AHEAD, analysed) - 1; age >= 0; age--)
        emit((aidedPath ?? path).decide(age) ?? 0, path.decide(age) ?? 0, out);
      out.count = Math.min(out.count, frames);
    },
  };
}

function refuseWhatIsNoNumber(samples: Float32Array) {
  // Anything times nothing is nothing, unless it is no number. Two sums need not wait for each other.
  let even = 0;
  let odd = 0;
  for (let n = 0; n + 1 < samples.length; n += 2) {
    even += samples[n] * 0;
    odd += samples[n + 1] * 0;
  }
  if (samples.length > 0) odd += samples[samples.length - 1] * 0;
  if (even !== 0 || odd !== 0)
    throw new CoreError(
      'samples-not-finite',
      `Sound holds a sample that is not a number, at ${samples.findIndex((sample) => !Number.isFinite(sample))}.`,
    );
}
