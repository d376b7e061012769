import { columnValue, FRAME_SECONDS, type FrameTrack } from '../hearing/index.ts';
import { continues, MIN_TONE_CLARITY } from './toneSpan.ts';

export interface TakeGateConfig {
  /** Sounding frequencies whose tone starts the take (the note and its neighbours among the partials). */
  startHz: readonly number[];
  /** Room floor in dBFS; null where it was never measured. */
  roomFloorDb: number | null;
  /** Silence after which the take is over, by seconds since it was opened. */
  silenceSeconds(seconds: number): number;
  /** Length after which the take ends in any case, and after which it ends if no tone came at all. */
  maxSeconds: number;
  patienceSeconds: number;
  /** A note still sounding from before must end first: it belongs to the last take. */
  afterSilence: boolean;
}

/** `startFrame` is where the tone began; the end is told once the silence has lasted. */
export type GateMove = { type: 'start'; startFrame: number } | { type: 'end'; frame: number } | null;

/** Watches a growing track and says when one take begins and ends, each once. */
export interface TakeGate {
  /** Looks at frame `index`; frames in order, each once. */
  look(track: FrameTrack, index: number): GateMove;
  /** The take began without a tone (count-in): from now on only its end is looked for. */
  open(frame: number): void;
}

const PAUSE_FRAMES = Math.round(0.3 / FRAME_SECONDS);
const START_FRAMES = Math.round(0.1 / FRAME_SECONDS);
const START_WITHIN_CENTS = 120;
const ABOVE_FLOOR_DB = 6;
/** Where the room is unknown, a tone must stand this far over the quietest second heard so far. */
const ABOVE_QUIETEST_DB = 10;

/**
 * A take starts with 100 ms of clear, connected pitch near one of `startHz` - playing something else in the
 * meantime starts nothing - and ends after `silenceSeconds` without tone.
 */
export function createTakeGate(config: TakeGateConfig): TakeGate {
  let run = 0;
  let opened: number | null = null;
  let toneHeard = false;
  let ended = false;
  let silent = 0;
  let paused = !config.afterSilence;
  let quietestDb = Infinity;
  let average = -60;

  const isTone = (track: FrameTrack, index: number) => {
    const { f0Hz, clarity, levelDb } = track.columns;
    const level = levelDb[index];
    average += (level - average) * 0.03;
    quietestDb = Math.min(quietestDb, average);
    const least =
      config.roomFloorDb === null
        ? Math.min(quietestDb + ABOVE_QUIETEST_DB, -50)
        : config.roomFloorDb + ABOVE_FLOOR_DB;
    return columnValue(f0Hz, index) !== null && clarity[index] >= MIN_TONE_CLARITY && level >= least;
  };
  const isStartPitch = (hz: number) =>
    config.startHz.some((start) => Math.abs(1200 * Math.log2(hz / start)) <= START_WITHIN_CENTS);

  return {
    open(frame) {
      opened = frame;
    },
    look(track, index) {
      const tone = isTone(track, index);
      run = !tone ? 0 : run > 0 && continues(track, index) ? run + 1 : 1;
      if (opened === null) {
        silent = tone ? 0 : silent + 1;
        paused ||= silent >= PAUSE_FRAMES;
        if (!paused || run < START_FRAMES || !isStartPitch(track.columns.f0Hz[index])) return null;
        opened = index - run + 1;
        toneHeard = true;
        silent = 0;
        return { type: 'start', startFrame: opened };
      }
      toneHeard ||= run >= START_FRAMES;
      silent = tone ? 0 : silent + 1;
      const length = (index - opened) * FRAME_SECONDS;
      const quiet = toneHeard && silent * FRAME_SECONDS >= config.silenceSeconds(length);
      const late = length >= (toneHeard ? config.maxSeconds : config.patienceSeconds);
      if (ended || (!quiet && !late)) return null;
      ended = true;
      return { type: 'end', frame: index };
    },
  };
}
