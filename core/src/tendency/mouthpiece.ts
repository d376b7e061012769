import {
  frequencyHz,
  hornById,
  regularTube,
  toSounding,
  type Horn,
  type HornId,
  type WrittenMidi,
} from '../horn/index.ts';
import type { TendencyMap } from './fitMap.ts';

/** Speed of sound in the bore of a warm horn, at 27 degrees Celsius, in m/s. */
const SOUND_M_PER_S = 331.3 * Math.sqrt(1 + 27 / 273.15);
/** 1200 / ln 2: an octave's cents for a small change of length. */
const CENTS_PER_SHARE = 1731;

/** How a horn answers to its mouthpiece: its cone tip, and how much of what the formula says is heard. */
export interface MouthpieceModel {
  coneTipM: number;
  share: number;
}

/**
 * Cents by which a note moves for each millimetre that the mouthpiece is pulled out; negative. A conical horn's note with
 * tube length L = c / (2 f1) moves about -1731 (x / L) W cents, W = sin² u + (cos u - sin u / u)², u = 2 pi f r0 / c.
 */
export function centsPerMm(note: WrittenMidi, horn: Horn, { coneTipM, share }: MouthpieceModel): number {
  const soundingHz = frequencyHz(toSounding(note, horn), 440);
  const lengthM = (SOUND_M_PER_S * regularTube(note).partial) / (2 * soundingHz);
  const u = (2 * Math.PI * soundingHz * coneTipM) / SOUND_M_PER_S;
  const weight = Math.sin(u) ** 2 + (Math.cos(u) - Math.sin(u) / u) ** 2;
  return (-CENTS_PER_SHARE * 0.001 * share * weight) / lengthM;
}

/** How a horn answers before its mouthpiece was ever moved: wholly as the formula says. */
export const usualModel = (hornId: HornId): MouthpieceModel => ({
  coneTipM: hornById(hornId).coneTipM,
  share: 1,
});

export interface MouthpieceAdvice {
  /** Millimetres to pull out; negative is to push in. 0: leave it. */
  pullOutMm: number;
  /** Standard error in mm. */
  errorMm: number;
  /** The cork ends here: more would help. */
  isLimited: boolean;
  notes: { writtenMidi: WrittenMidi; before: number; after: number; error: number }[];
  /** Weighted root mean square over the notes, in cents. */
  beforeCents: number;
  afterCents: number;
}

const MOST_MM = 6;
/** Less is not worth touching the horn for. */
const LEAST_MM = 0.4;
const LEAST_GAIN_CENTS = 1;
/** A note's own deviation, which no mouthpiece mends, and where it begins to be odd. */
const OWN_CENTS = 6;
const HUBER = 1.345;
const ROUNDS = 20;
/** Known so uncertainly a note says nothing. */
const MOST_ERROR = 8;
const LEAST_NOTES = 6;

/** The move that brings the map nearest to true, by weighted robust least squares over the notes that are known; null where too few are. */
export function adviseMouthpiece(
  map: TendencyMap,
  horn: Horn,
  model: MouthpieceModel = usualModel(horn.id),
): MouthpieceAdvice | null {
  const known = map.notes.flatMap(({ writtenMidi, at, days }) => {
    const { cents, error } = at(0);
    if (days === 0 || error > MOST_ERROR) return [];
    const perMm = centsPerMm(writtenMidi, horn, model);
    return [{ writtenMidi, cents, error, perMm, sd: Math.hypot(error, OWN_CENTS) }];
  });
  if (known.length < LEAST_NOTES) return null;
  let pull = 0;
  let strength = 0;
  for (let round = 0; round < ROUNDS; round++) {
    let [top, bottom] = [0, 0];
    for (const { cents, perMm, sd } of known) {
      const odd = Math.abs(cents + perMm * pull) / sd;
      const weight = Math.min(1, HUBER / Math.max(1e-9, odd)) / sd ** 2;
      top -= weight * perMm * cents;
      bottom += weight * perMm ** 2;
    }
    pull = top / bottom;
    strength = bottom;
  }
  const limited = Math.max(-MOST_MM, Math.min(MOST_MM, pull));
  const rms = (mm: number) => {
    const weights = known.map(({ sd }) => 1 / sd ** 2);
    const sum = known.reduce(
      (total, { cents, perMm }, i) => total + weights[i] * (cents + perMm * mm) ** 2,
      0,
    );
    return Math.sqrt(sum / weights.reduce((total, weight) => total + weight, 0));
  };
  const rounded = Math.round(10 * limited) / 10;
  const isWorth = Math.abs(rounded) >= LEAST_MM && rms(0) - rms(rounded) >= LEAST_GAIN_CENTS;
  const pullOutMm = isWorth ? rounded : 0;
  return {
    pullOutMm,
    errorMm: 1 / Math.sqrt(strength),
    isLimited: Math.abs(pull) > MOST_MM,
    notes: known.map(({ writtenMidi, cents, error, perMm }) => ({
      writtenMidi,
      before: cents,
      after: cents + perMm * pullOutMm,
      error,
    })),
    beforeCents: rms(0),
    afterCents: rms(pullOutMm),
  };
}

/** A note played again after the mouthpiece was moved. */
export interface RetestedNote {
  writtenMidi: WrittenMidi;
  /** After less before. */
  movedCents: number;
  /** Standard error of that. */
  error: number;
}

/** How sure the formula is before it is measured: the share, and the tip as a share of itself. */
const PRIOR_SHARE = 0.25;
const PRIOR_TIP = 0.2;
const STEPS = 40;

/** The player's own cone tip and cents per millimetre, from notes replayed after a move: the formula where they say nothing. */
export function measureMouthpiece(
  moved: readonly RetestedNote[],
  pulledMm: number,
  horn: Horn,
): MouthpieceModel {
  const usual = usualModel(horn.id);
  let best = usual;
  let least = Infinity;
  for (let t = -STEPS; t <= STEPS; t++) {
    const coneTipM = usual.coneTipM * (1 + (0.5 * t) / STEPS);
    // With the tip given the best share is a weighted mean.
    let [top, bottom] = [1 / PRIOR_SHARE ** 2, 1 / PRIOR_SHARE ** 2];
    const wanted = moved.map((note) => pulledMm * centsPerMm(note.writtenMidi, horn, { coneTipM, share: 1 }));
    moved.forEach(({ movedCents, error }, i) => {
      top += (movedCents * wanted[i]) / error ** 2;
      bottom += wanted[i] ** 2 / error ** 2;
    });
    const share = top / bottom;
    const cost =
      moved.reduce(
        (sum, { movedCents, error }, i) => sum + ((movedCents - share * wanted[i]) / error) ** 2,
        0,
      ) +
      ((share - 1) / PRIOR_SHARE) ** 2 +
      ((coneTipM / usual.coneTipM - 1) / PRIOR_TIP) ** 2;
    if (cost < least) [least, best] = [cost, { coneTipM, share }];
  }
  return best;
}
