import { FRAME_SECONDS, type FrameTrack } from '../hearing/index.ts';
import { percentile } from '../stats/index.ts';
import { pitchRuns, withoutPitch, type ToneSpan } from '../tone/index.ts';

/** A room that lets a sound sink faster than this rings on for less than anybody notices, dB/s. */
const DRY_DB_PER_SECOND = 600;
/** Slower than this nothing rings; it is played. */
const LEAST_DB_PER_SECOND = 12;
/** A room's fall is told over so much of it. */
const LEAST_FALL_DB = 14;
const TOLD_DB = 18;
/** Echoes are no steeper than this over so much. */
const STEEP_DB = 10;
const AFTER_FRAMES = Math.round(0.08 / FRAME_SECONDS);
/** Farther down it is the floor of the room or of the microphone that tells. */
const MOST_FALL_DB = 36;
/** What falls at this share of the room's pace or faster is not played any more. */
const SAME_PACE = 0.5;
/** Echoes come and go: the level is the loudest within 70 ms, its fall told over 400, or over 800 where it comes back. */
const HOLD_FRAMES = 3;
const BLOCKS_FRAMES = [0.4, 0.8].map((seconds) => Math.round(seconds / FRAME_SECONDS));
const LEAST_RUN_FRAMES = Math.round(0.15 / FRAME_SECONDS);
/** A tone ends where it has fallen by this. */
const END_DB = 4;
/** Farther down nothing is told from the room's own noise. */
const UNDER_LOUD_DB = 42;
/** Tones this far under the loud ones say nothing of the room. */
const NEAR_LOUD_DB = 25;
const LOUD_PERCENT = 90;
/** After so long what is heard is air, or somebody else. */
const MOST_TAIL_FRAMES = Math.round(0.3 / FRAME_SECONDS);
/** While it falls, echoes lift a level by no more from frame to frame. */
const RIPPLE_DB = 2;
const ECHO_FRAMES = Math.round(0.1 / FRAME_SECONDS);
const ECHO_DB = 3;
/** Within half a semitone. */
const SAME_PITCH_OCTAVES = 1 / 24;
/** Echoes make one end look faster than another. */
const PACE_PERCENT = 70;
const NEAR_FRAMES = Math.round(0.15 / FRAME_SECONDS);
const REFERENCE_FRAMES = Math.round(0.1 / FRAME_SECONDS);

interface Fall {
  /** The last frame of the tone itself, and the last that is heard of it. */
  start: number;
  last: number;
  dbPerSecond: number;
  /** Where it falls fastest. */
  steepestDbPerSecond: number;
}

export interface DryFrames {
  track: FrameTrack;
  /** How fast the room lets a sound sink, dB/s; null where it is dry, or nothing tells. */
  roomDecayDbPerSecond: number | null;
}

/**
 * A take with what rings on after its tones taken out of their pitch: from where a tone falls nearly as fast as the take's faster ends and never
 * rises again, it is the room that sounds; for nobody ends faster than the room lets them.
 */
export function withoutTails(track: FrameTrack): DryFrames {
  const { levelDb } = track.columns;
  const runs = pitchRuns(track);
  const tones = runs.filter(({ first, last }) => last - first >= LEAST_RUN_FRAMES);
  const loudDb = percentile(
    tones.map(({ first, last }) => levelDb[(first + last) >> 1]),
    LOUD_PERCENT,
  );
  const falls = tones
    .flatMap((run, i) => {
      // Where a tone goes on softer at its pitch it is its own tail.
      const next = tones.find((other, j) => j > i && !isTailOf(track, other, run));
      return fallOf(track, run, next?.first ?? track.count, (loudDb ?? 0) - UNDER_LOUD_DB) ?? [];
    })
    .filter(({ start }) => levelDb[start] > (loudDb ?? 0) - NEAR_LOUD_DB);
  const room = percentile(
    falls.map(({ dbPerSecond }) => dbPerSecond),
    PACE_PERCENT,
  );
  // Whoever tapers in a dry room ends at once in the end.
  const steepest = percentile(
    falls.map(({ steepestDbPerSecond }) => steepestDbPerSecond),
    PACE_PERCENT,
  );
  if (room === null || steepest === null || steepest >= DRY_DB_PER_SECOND)
    return { track, roomDecayDbPerSecond: null };
  const tails: ToneSpan[] = [];
  for (const { start, last, dbPerSecond } of falls) {
    if (dbPerSecond < SAME_PACE * room) continue;
    tails.push({ first: start + 1, last });
    // An echo may come back to a pitch for a moment, ever softer.
    let end = last;
    for (const run of runs) {
      const isEcho = run.first > end && run.first - end <= ECHO_FRAMES;
      if (!isEcho || !diesAway(track, run, end)) continue;
      tails.push(run);
      end = run.last;
    }
  }
  return { track: withoutPitch(track, tails), roomDecayDbPerSecond: room };
}

/** Whether a run of pitch is no louder than frame `from` before it, and short or sinking all along: nobody holds it. */
function diesAway({ columns: { levelDb } }: FrameTrack, run: ToneSpan, from: number): boolean {
  if (peakOf(levelDb, run) > levelDb[from] + ECHO_DB) return false;
  const { first, last } = run;
  const middle = (first + last) >> 1;
  const sankDb = levelDb[first] - levelDb[middle];
  return last - first < LEAST_RUN_FRAMES || sankDb > LEAST_DB_PER_SECOND * (middle - first) * FRAME_SECONDS;
}

/** Whether a tone is the one before it at its pitch, dying away. */
function isTailOf(track: FrameTrack, tone: ToneSpan, { last }: ToneSpan): boolean {
  const { f0Hz } = track.columns;
  const octaves = Math.log2(f0Hz[tone.first] / f0Hz[last]);
  return Math.abs(octaves) < SAME_PITCH_OCTAVES && diesAway(track, tone, last);
}

const peakOf = (levelDb: Float32Array, { first, last }: ToneSpan) =>
  levelDb.subarray(first, last + 1).reduce((most, db) => Math.max(most, db), -Infinity);

/** How a tone falls away at its end, down to `leastDb` or to where the `next` begins; null where it does not, or not far enough to tell. */
function fallOf(
  { columns: { levelDb }, count }: FrameTrack,
  { first, last: end }: ToneSpan,
  next: number,
  leastDb: number,
): Fall | null {
  // What is left of a tone in a room has no pitch of its own for long.
  let last = end;
  const most = Math.min(next - 1, end + MOST_TAIL_FRAMES);
  while (last < most && levelDb[last + 1] < levelDb[last] + RIPPLE_DB) last++;
  while (last > first && levelDb[last] < leastDb) last--;
  const held = (i: number) =>
    peakOf(levelDb, { first: Math.max(first, i - HOLD_FRAMES), last: Math.min(last, i + HOLD_FRAMES) });
  let from = last;
  const falls = (frames: number) =>
    held(Math.max(first, from - frames)) - held(from) >= LEAST_DB_PER_SECOND * frames * FRAME_SECONDS;
  while (from > first && BLOCKS_FRAMES.some(falls)) from--;
  // It sets in where the level was last near what it was just before.
  const near = Math.max(first, from - NEAR_FRAMES);
  const before = peakOf(levelDb, { first: Math.max(first, near - REFERENCE_FRAMES), last: near });
  let start = last;
  while (start > near && levelDb[start] < before - END_DB) start--;
  // A player may taper; the last of it is the room alone.
  let told = start;
  while (told < last && levelDb[told + 1] > levelDb[start] - MOST_FALL_DB) told++;
  let begin = told;
  while (begin > start && levelDb[begin] < levelDb[told] + TOLD_DB) begin--;
  const fallDb = levelDb[begin] - levelDb[told];
  const seconds = (told - begin) * FRAME_SECONDS;
  if (fallDb < LEAST_FALL_DB || seconds <= 0) return null;
  let steepestDbPerSecond = 0;
  // What is over at once has no pitch while it falls.
  const until = Math.min(count - 1, Math.max(last, end + AFTER_FRAMES));
  for (let i = start; i < until && levelDb[i] > leastDb; i++) {
    let below = i + 1;
    while (below <= until && levelDb[below] > levelDb[i] - STEEP_DB) below++;
    if (below > until) break;
    const fellDb = levelDb[i] - levelDb[below];
    steepestDbPerSecond = Math.max(steepestDbPerSecond, fellDb / ((below - i) * FRAME_SECONDS));
  }
  return { start, last: end, dbPerSecond: fallDb / seconds, steepestDbPerSecond };
}
