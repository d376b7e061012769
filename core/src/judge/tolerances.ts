/** Bands by which a take is judged. */
export interface Tolerance {
  pitchCents: number;
  swellErrorDb: number;
  onsetMs: number;
  responseMs: number;
}

export type ToleranceId = 'relaxed' | 'usual' | 'strict';

export const TOLERANCES: Record<ToleranceId, Tolerance> = {
  relaxed: { pitchCents: 20, swellErrorDb: 4, onsetMs: 120, responseMs: 250 },
  usual: { pitchCents: 10, swellErrorDb: 2.5, onsetMs: 70, responseMs: 150 },
  strict: { pitchCents: 5, swellErrorDb: 1.5, onsetMs: 40, responseMs: 90 },
};
