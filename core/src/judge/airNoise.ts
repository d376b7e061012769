import { columnValue, FRAME_SECONDS, type FrameTrack } from '../hearing/index.ts';
import { dbFromPower, powerFromDb } from '../signal/index.ts';
import { median, smoothInto } from '../stats/index.ts';

const RISE_DB = 6;
const LEAST_BREATH_FRAMES = Math.round(0.12 / FRAME_SECONDS);
const CALM_FRAMES = 5;

/** Air in 2-8 kHz over the room, in dB, frame by frame from `from` up to `to`; NaN where a pitch is heard. */
function airOverRoom({ columns }: FrameTrack, from: number, to: number, roomAirDb: number): Float64Array {
  const over = Float64Array.from(columns.airDb.subarray(from, to), (db, i) =>
    columnValue(columns.f0Hz, from + i) === null ? db - roomAirDb : Number.NaN,
  );
  const calm = new Float64Array(over.length);
  smoothInto(calm, over, CALM_FRAMES);
  return calm;
}

export interface GapNoise {
  /** Loudest air in the gap over the room's own, in dB (smoothed 50 ms); null where there is no frame to tell. */
  gapNoiseDb: number | null;
  /** When a breath of at least 120 ms, 6 dB over the room, began; null where none was drawn. */
  breathSeconds: number | null;
}

/** Breath in a silent gap between two tones, frames `from` up to `to`. Air that leads straight into the next tone is its attack. */
export function measureGapNoise(
  track: FrameTrack,
  from: number,
  to: number,
  roomAirDb: number | null,
): GapNoise {
  if (roomAirDb === null || to <= from) return { gapNoiseDb: null, breathSeconds: null };
  const air = airOverRoom(track, from, to, roomAirDb);
  let end = air.length;
  while (end > 0 && !(air[end - 1] < RISE_DB)) end--;
  let breathSeconds: number | null = null;
  let run = 0;
  for (let i = 0; i < end; i++) {
    run = air[i] >= RISE_DB ? run + 1 : 0;
    if (run === LEAST_BREATH_FRAMES) breathSeconds ??= (from + i - run + 1) * FRAME_SECONDS;
  }
  const heard = air.subarray(0, end).filter((value) => !Number.isNaN(value));
  return { gapNoiseDb: heard.length === 0 ? null : Math.max(...heard), breathSeconds };
}

/**
 * airLevelDb: level of bare air in dBFS with the room's own power taken off, median over the frames 6 dB over the room;
 * with the time it took. Null where under 120 ms of air was heard, or no room.
 */
export function measureAir(
  track: FrameTrack,
  from: number,
  to: number,
  roomAirDb: number | null,
  roomLevelDb: number | null,
): { airLevelDb: number; startSeconds: number; endSeconds: number } | null {
  if (roomAirDb === null) return null;
  const over = airOverRoom(track, from, to, roomAirDb);
  const { levelDb } = track.columns;
  const frames = Array.from(over.keys()).filter((i) => over[i] >= RISE_DB);
  if (frames.length < LEAST_BREATH_FRAMES) return null;
  const roomDb = roomLevelDb ?? -Infinity;
  const level = median(frames.map((i) => levelDb[from + i])) ?? roomDb;
  return {
    airLevelDb: dbFromPower(Math.max(1e-12, powerFromDb(level) - powerFromDb(roomDb))),
    startSeconds: (from + frames[0]) * FRAME_SECONDS,
    endSeconds: (from + frames[frames.length - 1]) * FRAME_SECONDS,
  };
}
