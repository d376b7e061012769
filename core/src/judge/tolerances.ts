/** Bands by which a take is judged. */
export interface Tolerance {
  pitchCents: number;
  swellErrorDb: number;
  onsetMs: number;
  /** Of an end that is written. */
  endMs: number;
  responseMs: number;
}

export type ToleranceId = 'relaxed' | 'usual' | 'strict';

export const TOLERANCES: Record<ToleranceId, Tolerance> = {
  relaxed: { pitchCents: 20, swellErrorDb: 4, onsetMs: 150, endMs: 250, responseMs: 250 },
  usual: { pitchCents: 10, swellErrorDb: 2.5, onsetMs: 110, endMs: 150, responseMs: 150 },
  strict: { pitchCents: 5, swellErrorDb: 1.5, onsetMs: 50, endMs: 90, responseMs: 90 },
};
