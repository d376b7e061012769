import { columnValue, FRAME_SECONDS, FrameTrack, MAX_PARTIAL, type NonPlayerSpan } from '../hearing/index.ts';
import { centsBetween } from '../horn/index.ts';

/** A busy machine leaves holes no longer than this; longer ones are the player's, or nobody knows. */
const MOST_SECONDS = 0.03;
/** The window of the level, and how near to what the hole alone takes off it must be: a player's own hole has soft edges, and is deeper. */
const LEVEL_SECONDS = 0.05;
const NEAR_DB = 1.5;
/** Half the longest window of the pitch, and the frames by which each is mended from its neighbours. */
const REACH_SECONDS = 0.063;
/** A hole takes at least so much off the level around it; a click of the metronome adds to it, or falls where the player swings down a little. */
const LEAST_DIP_DB = 1;
/** One tone on both sides. */
const SAME_CENTS = 60;
const SAME_DB = 6;

/** What a hole in a tone takes off its level in the middle of a Hann window of power. */
function dipOfHoleDb(lengthSeconds: number): number {
  const share = lengthSeconds / LEVEL_SECONDS;
  return -10 * Math.log10(1 - share - Math.sin(Math.PI * share) / Math.PI);
}

/**
 * A track in which pitch, level and partials go straight on across short holes in the sound (`foreign` names clicks too: they are passed over):
 * within a tone from side to side, at its very beginning or end as on the side that is left. Where another tone begins in a hole nothing is
 * known, and nothing changed.
 */
export function acrossHoles(track: FrameTrack, foreign: readonly NonPlayerSpan[]): FrameTrack {
  const holes = foreign.filter(({ lengthSeconds }) => lengthSeconds <= MOST_SECONDS);
  if (holes.length === 0) return track;
  const columns = track.slice(0);
  const { f0Hz, levelDb, partialsDb } = columns;
  for (const { timeSeconds, lengthSeconds } of holes) {
    const first = Math.ceil((timeSeconds - REACH_SECONDS) / FRAME_SECONDS);
    const last = Math.floor((timeSeconds + lengthSeconds + REACH_SECONDS) / FRAME_SECONDS);
    if (first < 1 || last + 1 >= track.count) continue;
    const [before, after] = [first - 1, last + 1];
    const inHole = Math.round((timeSeconds + lengthSeconds / 2) / FRAME_SECONDS);
    const dipDb = Math.min(levelDb[before], levelDb[after]) - levelDb[inHole];
    if (dipDb < LEAST_DIP_DB || Math.abs(dipDb - dipOfHoleDb(lengthSeconds)) > NEAR_DB) continue;
    const [from, to] = [columnValue(f0Hz, before), columnValue(f0Hz, after)];
    if (from === null && to === null) continue;
    if (from !== null && to !== null && Math.abs(centsBetween(to, from)) > SAME_CENTS) continue;
    const isWithin = from !== null && to !== null && Math.abs(levelDb[after] - levelDb[before]) <= SAME_DB;
    for (let i = first; i <= last; i++) {
      const share = (i - before) / (after - before);
      const isTone = isWithin || columnValue(f0Hz, i) !== null;
      if (isTone) f0Hz[i] = (from ?? to ?? 0) ** (1 - share) * (to ?? from ?? 0) ** share;
      if (!isWithin) continue;
      const straight = (column: Float32Array, width: number, k: number) => {
        const [one, other] = [column[before * width + k], column[after * width + k]];
        column[i * width + k] = one + share * (other - one);
      };
      straight(levelDb, 1, 0);
      for (let k = 0; k < MAX_PARTIAL; k++) straight(partialsDb, MAX_PARTIAL, k);
    }
  }
  return FrameTrack.from(columns);
}
