import type { HoldCause } from './hold.ts';

/** Every figure of a single-note take; null where there is no answer. Units are in the names. */
export interface SwellMeasures {
  /** Median cents over the steady part; + is sharp. */
  centsMean: number | null;
  /** Half the 16-84 percentile width. */
  centsSpread: number | null;
  softEndCents: number | null;
  loudEndCents: number | null;
  /** Cents per 10 dB louder, with the share of the variance it explains. */
  bendWithLevel: { centsPer10Db: number; r2: number } | null;
  dynamicSpanDb: number | null;
  /** RMS distance from the written line after the best single offset, and that offset. */
  swellErrorDb: number | null;
  levelOffsetDb: number | null;
  stairs: { count: number; worstDb: number | null };
  wrongWayPercent: number | null;
  /** + is late. */
  peakOffsetBeats: number | null;
  holdSeconds: number | null;
  holdBeats: number | null;
  holdCause: HoldCause | null;
}
