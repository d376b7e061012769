import { columnValue, FRAME_SECONDS, FrameTrack, MAX_PARTIAL } from '../hearing/index.ts';
import { powerFromDb } from '../signal/index.ts';
import { percentile } from '../stats/index.ts';

/** Where breath is told against tone; see the tone path. */
const [FROM_HZ, TO_HZ] = [500, 8000];
/** So near a tone there may be its air, its attack or its ringing. */
const BESIDE_FRAMES = Math.round(0.25 / FRAME_SECONDS);
const LEAST_FRAMES = Math.round(0.3 / FRAME_SECONDS);
/** Of what is heard beside the tones: bare air and noises of the horn come in between. */
const USUAL_PERCENT = 30;
const OTHERS_PERCENT = 85;
/** Where bare air is asked for, most of that is the player's. */
const BESIDE_AIR_PERCENT = 10;
/** The band of the air against that of the breath, for noise of equal power everywhere. */
const BAND_DB = 1;
/** What lies this near to the room's own noise tells nothing of the player's. */
const LEAST_OVER_ROOM = 2;
/** What others do is louder now and then. */
const LEAST_OVER_OTHERS = 10;

/**
 * A take with the noise of the room taken out of the breath in its tones (`noiseToHarmonicDb`): what is left of it, or no answer where
 * the room is so loud that hardly anything is. `noiseDb`, `hasOthers`: see `roomBetween`.
 */
export function withoutRoomNoise(track: FrameTrack, noiseDb: number, hasOthers: boolean): FrameTrack {
  const room = powerFromDb(noiseDb);
  const least = hasOthers ? LEAST_OVER_OTHERS : LEAST_OVER_ROOM;
  const columns = track.slice(0);
  const { f0Hz, noiseToHarmonicDb } = columns;
  for (let i = 0; i < track.count; i++) {
    const heardDb = columnValue(noiseToHarmonicDb, i);
    if (heardDb === null) continue;
    const tone = harmonicPower(track, i, f0Hz[i]);
    const noise = tone * powerFromDb(heardDb);
    // No harmonic of it stands out of the noise there: the room's own, if that is not far under the tone.
    if (tone <= 0) {
      if (columns.levelDb[i] - noiseDb < NEAR_ROOM_DB) noiseToHarmonicDb[i] = NaN;
      continue;
    }
    if (noise < least * room && powerFromDb(MATTERS_DB) * tone < room) noiseToHarmonicDb[i] = NaN;
    else if (noise > room) noiseToHarmonicDb[i] = 10 * Math.log10((noise - room) / tone);
  }
  return FrameTrack.from(columns);
}

/** Softer against the tone than this the room's noise would be no complaint either. */
const MATTERS_DB = -30;
const NEAR_ROOM_DB = 30;

/** Power of the harmonics within the band of the breath. */
function harmonicPower({ columns: { partialsDb } }: FrameTrack, frame: number, f0Hz: number): number {
  let sum = 0;
  for (let k = 1; k <= MAX_PARTIAL; k++) {
    const hz = k * f0Hz;
    const db = columnValue(partialsDb, frame * MAX_PARTIAL + k - 1);
    if (db !== null && hz >= FROM_HZ && hz <= TO_HZ) sum += powerFromDb(db);
  }
  return sum;
}

/** What is heard away from all tones, in dBFS: in the band of the breath, and in 2-8 kHz (null where pitch hides it). */
export interface RoomBetween {
  noiseDb: number;
  airDb: number | null;
}

/**
 * What the room sounds like away from the player's tones; null where there is hardly any such place. Where others were heard in it,
 * their louder moments count, and all of their sound.
 */
export function roomBetween(
  { columns: { f0Hz, airDb, levelDb }, count }: FrameTrack,
  hasOthers: boolean,
  asksAir: boolean,
): RoomBetween | null {
  const away = new Uint8Array(count).fill(1);
  for (let i = 0; i < count; i++)
    if (columnValue(f0Hz, i) !== null)
      away.fill(0, Math.max(0, i - BESIDE_FRAMES), Math.min(count, i + BESIDE_FRAMES + 1));
  const levels = (column: Float32Array) =>
    Array.from(column.subarray(0, count)).filter((db, i) => away[i] === 1 && !Number.isNaN(db));
  const [air, level] = [levels(airDb), levels(levelDb)];
  if (level.length < LEAST_FRAMES) return null;
  const percent = hasOthers ? OTHERS_PERCENT : asksAir ? BESIDE_AIR_PERCENT : USUAL_PERCENT;
  const usualDb = percentile(level, percent) ?? 0;
  const usualAirDb = air.length < LEAST_FRAMES / 2 ? null : percentile(air, percent);
  const isHissAlone = !hasOthers && usualAirDb !== null;
  return { noiseDb: isHissAlone ? Math.min(usualDb, usualAirDb + BAND_DB) : usualDb, airDb: usualAirDb };
}
