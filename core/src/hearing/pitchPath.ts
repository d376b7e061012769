import { MAX_CANDIDATES, type Candidates } from './pitchCandidates.ts';

/** Frames the path looks ahead before it decides. */
export const PATH_LOOK_AHEAD = 2;

const DEPTH = PATH_LOOK_AHEAD + 1;
const STATES = MAX_CANDIDATES + 1;
const UNVOICED = MAX_CANDIDATES;
const UNVOICED_COST = -0.5;
const VOICING_CHANGE = 0.3;
const MOVE_PER_SEMITONE = 0.05;
const JUMP = 0.25;

export interface PitchPath {
  /**
   * Takes the candidates of the newest frame; returns the decided pitch, in Hz, of the frame
   * PATH_LOOK_AHEAD earlier: 0 where it is unvoiced, null while there is no such frame yet.
   */
  push(candidates: Candidates): number | null;
  /** After the last frame: the decided pitch `age` frames before the newest (1, 0). */
  decide(age: number): number | null;
}

/**
 * Viterbi search (Viterbi 1967) over the candidates of each frame and "no pitch", deciding with a fixed lag. `favour`
 * is added to a candidate's score: 0, or a little for what is expected.
 */
export function createPitchPath(favour: (f0Hz: number) => number = () => 0): PitchPath {
  const f0Hz = Array.from({ length: DEPTH }, () => new Float64Array(STATES));
  const cost = Array.from({ length: DEPTH }, () => new Float64Array(STATES).fill(Infinity));
  const back = Array.from({ length: DEPTH }, () => new Int8Array(STATES));
  let seen = 0;

  const move = (from: number, to: number) => {
    if (from === 0 || to === 0) return from === to ? 0 : VOICING_CHANGE;
    return Math.min(JUMP, MOVE_PER_SEMITONE * Math.abs(12 * Math.log2(to / from)));
  };

  function decide(age: number): number | null {
    if (seen <= age) return null;
    const newest = (seen - 1) % DEPTH;
    let state = 0;
    for (let s = 1; s < STATES; s++) if (cost[newest][s] < cost[newest][state]) state = s;
    for (let step = 0; step < age; step++) state = back[(seen - 1 - step) % DEPTH][state];
    return f0Hz[(seen - 1 - age) % DEPTH][state];
  }

  return {
    decide,
    push(candidates) {
      const slot = seen % DEPTH;
      const previous = (seen + DEPTH - 1) % DEPTH;
      let least = Infinity;
      for (let s = 0; s < STATES; s++) {
        const voiced = s < candidates.count;
        if (!voiced && s !== UNVOICED) {
          cost[slot][s] = Infinity;
          continue;
        }
        const here = s === UNVOICED ? 0 : candidates.f0Hz[s];
        let best = seen === 0 ? 0 : Infinity;
        for (let p = 0; seen > 0 && p < STATES; p++) {
          const total = cost[previous][p] + move(f0Hz[previous][p], here);
          if (total < best) {
            best = total;
            back[slot][s] = p;
          }
        }
        f0Hz[slot][s] = here;
        cost[slot][s] = best + (s === UNVOICED ? UNVOICED_COST : -candidates.score[s] - favour(here));
        least = Math.min(least, cost[slot][s]);
      }
      for (let s = 0; s < STATES; s++) cost[slot][s] -= least;
      seen++;
      return decide(PATH_LOOK_AHEAD);
    },
  };
}
