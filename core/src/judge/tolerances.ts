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

/** In a room that rings, the place of the microphone makes a tone louder or softer by so much as its pitch moves. */
export const RINGING_DB = 3.5;
/** A tone stands out of the one before where that has sunk by so much. */
const UNDER_NEXT_DB = 10;

/** How long a room that lets a sound sink by `decayDbPerSecond` lets it ring over the next one, ms; 0 where it is dry (null). */
export const ringsMs = (decayDbPerSecond: number | null) =>
  decayDbPerSecond === null ? 0 : (1000 * UNDER_NEXT_DB) / decayDbPerSecond;

/** The bands in a room that lets a sound sink by `decayDbPerSecond`; null: it is dry. */
export const toleranceInRoom = (tolerance: Tolerance, decayDbPerSecond: number | null): Tolerance =>
  decayDbPerSecond === null ? tolerance : { ...tolerance, swellErrorDb: tolerance.swellErrorDb + RINGING_DB };
