import {
  columnValue,
  FRAME_SECONDS,
  FrameTrack,
  LEVEL_WINDOW_SECONDS,
  MAX_PARTIAL,
  type FrameColumns,
  type NonPlayerSpan,
} from '../hearing/index.ts';
import { centsBetween } from '../horn/index.ts';
import { framesHearing, PITCH_REACH_SECONDS } from '../tone/index.ts';

/** A busy machine leaves holes no longer than this; longer ones are the player's, or nobody knows. */
const MOST_SECONDS = 0.03;
/** Half the longest window of the pitch, and the two frames by which each is mended from its neighbours. */
const REACH_SECONDS = PITCH_REACH_SECONDS + 2 * FRAME_SECONDS;
/** A hole takes at least so much off the level around it; a click of the metronome adds to it, or falls where the player swings down a little. */
const LEAST_DIP_DB = 1;
/** So near to what the hole alone takes off it must be: a player's own hole has soft edges, and is deeper. */
const NEAR_DB = 1.5;
/** One tone on both sides. */
const SAME_CENTS = 60;
const SAME_DB = 6;

/** What a hole in a tone takes off its level in the middle of a Hann window of power. */
function dipOfHoleDb(lengthSeconds: number): number {
  const share = lengthSeconds / LEVEL_WINDOW_SECONDS;
  return -10 * Math.log10(1 - share - Math.sin(Math.PI * share) / Math.PI);
}

interface Bridge {
  /** The last frame before the hole that hears nothing of it, and the first one after it. */
  before: number;
  after: number;
  /** Pitch on either side; of the other side where one has none. */
  fromHz: number;
  toHz: number;
  /** One tone goes on: then its level does too. */
  isWithin: boolean;
}

/** What leads over a hole; null where this is none, or nothing is known of it. */
function bridgeOver({ columns: { f0Hz, levelDb }, count }: FrameTrack, span: NonPlayerSpan): Bridge | null {
  const { timeSeconds, lengthSeconds } = span;
  if (lengthSeconds > MOST_SECONDS) return null;
  const { first, last } = framesHearing(span, REACH_SECONDS);
  if (first < 1 || last + 1 >= count) return null;
  const [before, after] = [first - 1, last + 1];
  const inHole = Math.round((timeSeconds + lengthSeconds / 2) / FRAME_SECONDS);
  const dipDb = Math.min(levelDb[before], levelDb[after]) - levelDb[inHole];
  if (dipDb < LEAST_DIP_DB || Math.abs(dipDb - dipOfHoleDb(lengthSeconds)) > NEAR_DB) return null;
  const [left, right] = [columnValue(f0Hz, before), columnValue(f0Hz, after)];
  const [fromHz, toHz] = [left ?? right, right ?? left];
  if (fromHz === null || toHz === null || Math.abs(centsBetween(toHz, fromHz)) > SAME_CENTS) return null;
  const isSameLevel = Math.abs(levelDb[after] - levelDb[before]) <= SAME_DB;
  return { before, after, fromHz, toHz, isWithin: left !== null && right !== null && isSameLevel };
}

/** Leads pitch, and within a tone level and partials, straight over. */
function layBridge(
  { f0Hz, levelDb, partialsDb }: FrameColumns,
  { before, after, fromHz, toHz, isWithin }: Bridge,
): void {
  for (let i = before + 1; i < after; i++) {
    const share = (i - before) / (after - before);
    if (isWithin || columnValue(f0Hz, i) !== null) f0Hz[i] = fromHz ** (1 - share) * toHz ** share;
    if (!isWithin) continue;
    levelDb[i] = levelDb[before] + share * (levelDb[after] - levelDb[before]);
    for (let k = 0; k < MAX_PARTIAL; k++) {
      const [from, to] = [before, after].map((frame) => partialsDb[frame * MAX_PARTIAL + k]);
      partialsDb[i * MAX_PARTIAL + k] = from + share * (to - from);
    }
  }
}

/**
 * A track in which pitch, level and partials go straight on across short holes in the sound (`foreign` names clicks too: they are passed over):
 * within a tone from side to side, at its very beginning or end as on the side that is left. Where another tone begins in a hole nothing is
 * known, and nothing changed. The track itself where there is nothing to bridge.
 */
export function acrossHoles(track: FrameTrack, foreign: readonly NonPlayerSpan[]): FrameTrack {
  let bridged = track;
  for (const span of foreign) {
    const bridge = bridgeOver(bridged, span);
    if (!bridge) continue;
    if (bridged === track) bridged = FrameTrack.from(track.slice(0));
    layBridge(bridged.columns, bridge);
  }
  return bridged;
}
