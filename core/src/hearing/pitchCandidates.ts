export const MAX_CANDIDATES = 6;

/** Candidates of one frame, best first; only the first `count` mean anything. */
export interface Candidates {
  count: number;
  f0Hz: Float64Array;
  score: Float64Array;
}

/** Room for the candidates of a frame, empty. */
export function createCandidates(): Candidates {
  return { count: 0, f0Hz: new Float64Array(MAX_CANDIDATES), score: new Float64Array(MAX_CANDIDATES) };
}
