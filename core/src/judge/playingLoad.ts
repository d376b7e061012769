import { levelAtFraction, markFraction, type DynamicScale } from '../exercise/index.ts';
import { columnValue, FRAME_SECONDS, type FrameTrack } from '../hearing/index.ts';
import { frequencyHz, hornById, toSounding, writtenMidi, type HornId } from '../horn/index.ts';

/** What of a take tires lip and ear. */
export interface PlayingLoad {
  /** Sounding at all. */
  playedSeconds: number;
  /** Sounding over C#6 (written). */
  highSeconds: number;
  /** Sounding at f or more, on the player's own scale. */
  loudSeconds: number;
}

const FIRST_HIGH = writtenMidi(86);
/** A note a quarter tone flat is still that note. */
const QUARTER_TONE = 2 ** (-50 / 1200);
/** From f on. */
const LOUD = markFraction('f');

/** Seconds of a take in which the horn sounded, sounded high, sounded loud. Every frame with a pitch counts. */
export function playingLoadOf(
  { columns, count }: FrameTrack,
  { hornId, a4Hz, scale }: { hornId: HornId; a4Hz: number; scale: DynamicScale },
): PlayingLoad {
  const highHz = QUARTER_TONE * frequencyHz(toSounding(FIRST_HIGH, hornById(hornId)), a4Hz);
  const loudDb = levelAtFraction(LOUD, scale);
  const frames = { played: 0, high: 0, loud: 0 };
  for (let i = 0; i < count; i++) {
    const hz = columnValue(columns.f0Hz, i);
    if (hz === null) continue;
    frames.played++;
    if (hz >= highHz) frames.high++;
    if (columns.levelDb[i] >= loudDb) frames.loud++;
  }
  return {
    playedSeconds: frames.played * FRAME_SECONDS,
    highSeconds: frames.high * FRAME_SECONDS,
    loudSeconds: frames.loud * FRAME_SECONDS,
  };
}
