import type { ExactSound } from './tone.ts';

/** A pitch at a frame (one every 10 ms), or null. */
export type PitchAt = (frame: number) => number | null;

export const HOP_SECONDS = 0.01;
const GROSS_CENTS = 50;

export interface Score {
  frames: number;
  missed: number;
  gross: number;
  octave: number;
  /** Frames with a pitch where nothing sounds. */
  falsePitch: number;
  /** Sizes in cents of the errors that are not gross. */
  fine: number[];
  /** When each onset was heard, late is +, in ms; NaN where it never was. */
  onsetMs: number[];
}

export function emptyScore(): Score {
  return { frames: 0, missed: 0, gross: 0, octave: 0, falsePitch: 0, fine: [], onsetMs: [] };
}

/** Adds one frame; `isFine` is false where small errors say nothing, because the truth is not known that well. */
export function scoreFrame(score: Score, heard: number | null, truth: number | null, isFine = true): void {
  score.frames++;
  if (truth === null) score.falsePitch += heard === null ? 0 : 1;
  else if (heard === null) score.missed++;
  else {
    const cents = Math.abs(1200 * Math.log2(heard / truth));
    if (cents > GROSS_CENTS) {
      score.gross++;
      const fromOctave = Math.abs(cents - 1200 * Math.max(1, Math.round(cents / 1200)));
      if (fromOctave < GROSS_CENTS) score.octave++;
    } else if (isFine) score.fine.push(cents);
  }
}

/** Adds what an ear heard of one sound. */
export function scoreSound(score: Score, sound: ExactSound, pitchAt: PitchAt): void {
  for (const [from, to] of sound.scored)
    for (let frame = Math.ceil(from / HOP_SECONDS); frame * HOP_SECONDS <= to; frame++)
      scoreFrame(score, pitchAt(frame), sound.f0HzAt(frame * HOP_SECONDS));
  for (const onset of sound.onsets) score.onsetMs.push(onsetError(sound, onset, pitchAt));
}

/** The first of five frames in a row on the right pitch, from a tenth of a second before the onset on. */
function onsetError({ f0HzAt }: ExactSound, onset: number, pitchAt: PitchAt): number {
  const target = f0HzAt(onset + 0.05) ?? 0;
  const right = (frame: number) => {
    const heard = pitchAt(frame);
    return heard !== null && Math.abs(1200 * Math.log2(heard / target)) < GROSS_CENTS;
  };
  const first = Math.round((onset - 0.1) / HOP_SECONDS);
  for (let frame = first; frame < first + 30; frame++)
    if ([0, 1, 2, 3, 4].every((i) => right(frame + i))) return 1000 * (frame * HOP_SECONDS - onset);
  return NaN;
}

export const quantile = (values: readonly number[], share: number) =>
  values.toSorted((a, b) => a - b)[Math.floor(share * (values.length - 1))] ?? NaN;

export interface PitchFigures {
  missedPercent: number;
  grossPercent: number;
  octavePercent: number;
  /** Over the fine errors. */
  medianCents: number;
  p95Cents: number;
}

export function pitchFigures({ frames, missed, gross, octave, fine }: Score): PitchFigures {
  const percent = (count: number) => (100 * count) / frames;
  return {
    missedPercent: percent(missed),
    grossPercent: percent(gross),
    octavePercent: percent(octave),
    medianCents: quantile(fine, 0.5),
    p95Cents: quantile(fine, 0.95),
  };
}
