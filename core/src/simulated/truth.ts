/** What the simulated player really did, on the clock of the sound it made. */
export interface Truth {
  toneOnsetSeconds: number;
  toneEndSeconds: number;
  /** Fundamental in Hz every 10 ms from time 0; NaN outside the tone. */
  f0Hz: Float64Array;
  /** Level in dBFS every 10 ms; NaN outside the tone and within its attack and release. */
  levelDb: Float64Array;
  jumps: { timeSeconds: number; lengthSeconds: number; from: number; to: number }[];
}

/** What became of one written item. */
export interface ItemTruth {
  played: 'asWritten' | 'missed' | 'wrongNote' | 'wrongPartial';
  /** When its tone (or air) began and ended; null where it was missed, and for rests. */
  onsetSeconds: number | null;
  endSeconds: number | null;
  /** From leaving the old pitch to staying near the new; null where it was not slurred. */
  slurMs: number | null;
}
