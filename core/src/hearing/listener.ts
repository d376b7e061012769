import { CoreError, createResampler, SampleRing } from '../signal/index.ts';
import { clarityAt } from './clarity.ts';
import { createCandidates, createCombScore } from './combScore.ts';
import { curveCorrectionCents } from './curvedPitch.ts';
import { createDualSpectrum, createDualSpectrumStage, pitchWindowSeconds } from './dualSpectrum.ts';
import { FRAME_SECONDS, type FrameTrack } from './frames.ts';
import { createLevelMeter } from './levelMeter.ts';
import { createPitchPath, PATH_LOOK_AHEAD } from './pitchPath.ts';
import { refinePitch } from './refinePitch.ts';
import { createTonePath, type ToneColour } from './tonePath.ts';

/** Rates of sound that can be heard. */
export const MIN_RATE_HZ = 8000;
export const MAX_RATE_HZ = 192000;

export interface ListenerConfig {
  /** Whole number of Hz, 8000-192000. A new rate needs a new listener. */
  sampleRateHz: number;
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

const INTERNAL_HZ = 12000;
const HOP_12 = INTERNAL_HZ * FRAME_SECONDS;
const SPECTRA_KEPT = PATH_LOOK_AHEAD + 1;
const HALF_SPECTRUM = 256;
/** Candidates of neighbouring frames this near are the same tone. */
const SAME_TONE_SHARE = 0.04;
/** Samples between looks for a complete frame. */
const BLOCK = 128;

/** The pipeline: resample -> two spectra -> comb -> path -> refine -> clarity, level, colour -> frame. */
export function createListener({ sampleRateHz }: ListenerConfig): Listener {
  if (!Number.isInteger(sampleRateHz) || sampleRateHz < MIN_RATE_HZ || sampleRateHz > MAX_RATE_HZ)
    throw new CoreError(
      'sample-rate-unsupported',
      `Sample rate must be ${MIN_RATE_HZ}-${MAX_RATE_HZ} Hz, got ${sampleRateHz}.`,
    );
  const to12 = createResampler(sampleRateHz, INTERNAL_HZ);
  const to6 = createResampler(INTERNAL_HZ, INTERNAL_HZ / 2);
  const ring12 = new SampleRing(4096);
  const ring6 = new SampleRing(2048);
  const ringFull = new SampleRing(sampleRateHz);
  const level = createLevelMeter(sampleRateHz);
  const spectrumStage = createDualSpectrumStage();
  const spectra = Array.from({ length: SPECTRA_KEPT }, createDualSpectrum);
  const combScore = createCombScore();
  const candidates = createCandidates();
  const path = createPitchPath();
  const tonePath = createTonePath(sampleRateHz);
  const colour: ToneColour = { brightness: NaN, breathDb: NaN, partialsDb: new Float64Array(16) };
  const bestRoughHz = new Float64Array(SPECTRA_KEPT);
  const bestRefinedHz = new Float64Array(SPECTRA_KEPT);
  /** Refined pitch of the two frames before, NaN where there was none. */
  const refinedHz = new Float64Array(2).fill(NaN);
  let analysed = 0;
  let emitted = 0;
  let fed12 = 0;

  // From a rate under 12 kHz more comes out than went in.
  const between = new Float32Array(2 * BLOCK);
  const silence = new Float32Array(BLOCK);

  /** Takes samples `from` up to `to`, at most BLOCK of them. */
  function feed(samples: Float32Array, from: number, to: number) {
    ringFull.appendFrom(samples, from, to);
    level.push(samples, from, to);
    to12.push(samples, from, to, ring12);
    const fresh = ring12.end - fed12;
    for (let n = 0; n < fresh; n++) between[n] = ring12.at(fed12++);
    to6.push(between, 0, fresh, ring6);
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

  function emit(roughHz: number, out: FrameTrack) {
    const frame = emitted++;
    const here = spectra[frame % SPECTRA_KEPT];
    const centre = Math.round(frame * FRAME_SECONDS * sampleRateHz);
    const levelDb = level.levelDbAt(centre);
    if (roughHz === 0) {
      refinedHz.fill(NaN);
      const best = bestRoughHz[frame % SPECTRA_KEPT];
      out.append(NaN, best > 0 ? clarityAt(here, best) : 0, levelDb, NaN, NaN);
      return;
    }
    const f0Hz = curvedPitch(frame, refinedAt(frame % SPECTRA_KEPT, roughHz));
    tonePath(ringFull, centre, f0Hz, colour);
    out.append(f0Hz, clarityAt(here, f0Hz), levelDb, colour.brightness, colour.breathDb);
  }

  function analyse(out: FrameTrack) {
    const slot = analysed % SPECTRA_KEPT;
    spectrumStage(ring12, analysed * HOP_12, ring6, (analysed * HOP_12) / 2, spectra[slot]);
    combScore(spectra[slot], candidates);
    bestRoughHz[slot] = candidates.count > 0 ? candidates.f0Hz[0] : 0;
    bestRefinedHz[slot] = NaN;
    analysed++;
    const decided = path.push(candidates);
    if (decided !== null) emit(decided, out);
  }

  function advance(out: FrameTrack) {
    while (
      ring6.end >= (analysed * HOP_12) / 2 + HALF_SPECTRUM &&
      ring12.end >= analysed * HOP_12 + HALF_SPECTRUM
    )
      analyse(out);
  }

  return {
    push(samples, out) {
      // Anything times nothing is nothing, unless it is no number.
      let nothing = 0;
      for (let n = 0; n < samples.length; n++) nothing += samples[n] * 0;
      if (nothing !== 0)
        throw new CoreError(
          'samples-not-finite',
          `Sound holds a sample that is not a number, at ${samples.findIndex((s) => !Number.isFinite(s))}.`,
        );
      for (let start = 0; start < samples.length; start += BLOCK) {
        const end = Math.min(samples.length, start + BLOCK);
        feed(samples, start, end);
        advance(out);
      }
    },
    finish(out) {
      const frames = Math.floor(ringFull.end / sampleRateHz / FRAME_SECONDS + 1e-9) + 1;
      while (analysed < frames) {
        feed(silence, 0, BLOCK);
        advance(out);
      }
      for (let age = Math.min(PATH_LOOK_AHEAD, analysed) - 1; age >= 0; age--)
        emit(path.decide(age) ?? 0, out);
      out.count = Math.min(out.count, frames);
    },
  };
}
