import { FRAME_SECONDS } from '../hearing/index.ts';
import { smoothInto } from '../stats/index.ts';
import type { NoteTrack } from './noteTrack.ts';

/** Level of a note beside what was written, one value a frame of the written length. */
export interface LevelCurve {
  /** Beats since beat 0. */
  beat: Float64Array;
  /** Level as heard (50 ms window); NaN where it must not be used. */
  heardDb: Float64Array;
  /** The same smoothed over 50 ms and over 250 ms. */
  closeDb: Float64Array;
  calmDb: Float64Array;
  /** Written level on the player's scale. */
  targetDb: Float64Array;
}

/** Lays the steady part against the written line; frames outside the written length are left out. */
export function levelCurve(
  note: Pick<NoteTrack, 'timeSeconds' | 'levelDb'>,
  beatZeroSeconds: number,
  secondsPerBeat: number,
  lengthBeats: number,
  targetDbAtBeat: (beat: number) => number,
): LevelCurve {
  const frames = Array.from(note.timeSeconds.keys()).filter((i) => {
    const beat = (note.timeSeconds[i] - beatZeroSeconds) / secondsPerBeat;
    return beat >= 0 && beat <= lengthBeats;
  });
  const beat = Float64Array.from(frames, (i) => (note.timeSeconds[i] - beatZeroSeconds) / secondsPerBeat);
  const heardDb = Float64Array.from(frames, (i) => note.levelDb[i]);
  const closeDb = new Float64Array(frames.length);
  const calmDb = new Float64Array(frames.length);
  smoothInto(closeDb, heardDb, 0.05 / FRAME_SECONDS);
  smoothInto(calmDb, heardDb, 0.25 / FRAME_SECONDS);
  return { beat, heardDb, closeDb, calmDb, targetDb: beat.map(targetDbAtBeat) };
}
