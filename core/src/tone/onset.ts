import { columnValue, FRAME_SECONDS, type FrameTrack } from '../hearing/index.ts';
import { dbFromPower, powerFromDb } from '../signal/index.ts';
import { median } from '../stats/index.ts';

/** The tone's own level is read this long after its first frame; half its power is the onset. */
const SETTLED_FRAMES = Math.round(0.06 / FRAME_SECONDS);
const SEARCH_FRAMES = Math.round(0.05 / FRAME_SECONDS);
const BEFORE_FRAMES = Math.round(0.1 / FRAME_SECONDS);

const AIR_RISE_DB = 6;
const UNCLEAR_FRAMES = 6;
const LEAST_AIR_FRAMES = Math.round(0.03 / FRAME_SECONDS);
const ROOM_FRAMES = Math.round(0.3 / FRAME_SECONDS);
const LEAST_DB = -85;

/**
 * toneOnset to less than a frame, in seconds: where the level, on its way from what was before to the level of 60 ms
 * later, passes half of that power. The first frame of the tone alone comes about 13 ms early, because half its window
 * reaches ahead. `first` is that frame.
 */
export function onsetSeconds(track: FrameTrack, first: number): number {
  const { levelDb } = track.columns;
  const after = powerFromDb(levelDb[Math.min(track.count - 1, first + SETTLED_FRAMES)]);
  const before = powerFromDb(levelDb[Math.max(0, first - BEFORE_FRAMES)]);
  const half = (after + before) / 2;
  if (after <= 2 * before) return first * FRAME_SECONDS;
  const from = Math.max(1, first - SEARCH_FRAMES);
  const to = Math.min(track.count - 1, first + SEARCH_FRAMES);
  return (crossingFrame(levelDb, from - 1, to, half) ?? first) * FRAME_SECONDS;
}

/** Where, between `from` and `to`, a column of levels first reaches a power, between frames; null where never. */
function crossingFrame(levels: Float32Array, from: number, to: number, wanted: number): number | null {
  for (let i = from + 1; i <= to; i++) {
    const here = powerFromDb(levels[i]);
    // Where a pitch was heard there is no level of the air to tell.
    if (!(here >= wanted)) continue;
    // No number where a pitch was heard: nothing of this came before.
    const last = Number.isNaN(levels[i - 1]) ? 0 : powerFromDb(levels[i - 1]);
    return last >= wanted ? i : i - 1 + (wanted - last) / (here - last);
  }
  return null;
}

/** The room as it was heard while nobody played. */
export interface RoomNoise {
  /** In 2-8 kHz, and of the whole band, in dBFS. */
  airDb: number;
  levelDb: number;
}

/**
 * The room's own noise: the quietest 0.3 s without a pitch, never from inside air that was written as long as there is any other quiet, and
 * never under -85 dBFS (a gate gives digital silence, beside which everything would be air). Null where there is no such stretch.
 */
export function quietestRoom({ columns, count }: FrameTrack, from = 0): RoomNoise | null {
  const { airDb, levelDb } = columns;
  let best: RoomNoise | null = null;
  let [air, level, run] = [0, 0, 0];
  for (let i = from; i < count; i++) {
    if (Number.isNaN(airDb[i])) {
      [air, level, run] = [0, 0, 0];
      continue;
    }
    air += powerFromDb(airDb[i]);
    level += powerFromDb(levelDb[i]);
    run++;
    if (run > ROOM_FRAMES) {
      air -= powerFromDb(airDb[i - ROOM_FRAMES]);
      level -= powerFromDb(levelDb[i - ROOM_FRAMES]);
    }
    if (run < ROOM_FRAMES) continue;
    const here = dbFromPower(Math.max(0, air) / ROOM_FRAMES);
    if (best && here >= best.airDb) continue;
    best = { airDb: here, levelDb: dbFromPower(Math.max(0, level) / ROOM_FRAMES) };
  }
  return best && { airDb: Math.max(LEAST_DB, best.airDb), levelDb: Math.max(LEAST_DB, best.levelDb) };
}

/**
 * airOnset in seconds: where the noise of 2-8 kHz that goes before the tone beginning at frame `first`, and is 6 dB
 * over the room (`quietestRoom`), reaches half of its power. Null where no air of at least 30 ms goes before (a tongued
 * start), or no room was heard.
 */
export function airOnsetSeconds(track: FrameTrack, first: number, room: number | null): number | null {
  if (room === null) return null;
  const { airDb, f0Hz } = track.columns;
  const risen = room + AIR_RISE_DB;
  const isAir = (i: number) => i >= 0 && columnValue(f0Hz, i) === null && airDb[i] >= risen;
  // The first frames of a low note have a pitch but are no clear tone yet.
  let start = first;
  while (start > 1 && first - start < UNCLEAR_FRAMES && columnValue(f0Hz, start - 1) !== null) start--;
  // One quieter frame in a breath is chance.
  while (isAir(start - 1) || (isAir(start - 2) && isAir(start - 3))) start--;
  if (first - start < LEAST_AIR_FRAMES || start === 0) return null;
  // Where it has half of its power: in a very quiet room the mere edge of the window would be 6 dB.
  const first60 = airDb
    .subarray(start + 1, Math.min(first, start + 1 + SETTLED_FRAMES))
    .filter((db) => !Number.isNaN(db));
  const half = powerFromDb(median(first60) ?? risen) / 2;
  const crossing = crossingFrame(airDb, start - 1, first, half);
  return (crossing ?? start) * FRAME_SECONDS;
}
