import type { FrameTrack } from '../hearing/index.ts';
import { FRAME_SECONDS } from '../hearing/index.ts';

/** Troubles of a sound that no analysis can mend. */
export type SoundTrouble = 'silence' | 'clipping' | 'noisyRoom';

const SILENT_DB = -85;
const SILENT_FRAMES = Math.round(4 / FRAME_SECONDS);
const CLIPPED_SAMPLES = 3;
const FULL_SCALE = 0.999;
const ROOM_FRAMES = Math.round(5 / FRAME_SECONDS);

/** Watches live sound and tells each trouble once until `reset`. */
export interface SoundWatch {
  /** Samples at full scale, three or more in a row of `samples`: clipping. */
  lookAtSamples(samples: Float32Array): SoundTrouble | null;
  /** 4 s of near-digital silence, or 5 s in which the room never sinks under `softestDb`. */
  lookAtFrame(track: FrameTrack, index: number): SoundTrouble | null;
  reset(): void;
}

/** `softestDb` is the level of the softest playing: a room above it hides the player. */
export function createSoundWatch(softestDb: number): SoundWatch {
  const told = new Set<SoundTrouble>();
  let silent = 0;
  let frames = 0;
  let quietestDb = Infinity;
  const tell = (trouble: SoundTrouble) => {
    if (told.has(trouble)) return null;
    told.add(trouble);
    return trouble;
  };
  return {
    reset() {
      told.clear();
      silent = 0;
      frames = 0;
      quietestDb = Infinity;
    },
    lookAtSamples(samples) {
      let run = 0;
      for (let n = 0; n < samples.length; n++) {
        run = Math.abs(samples[n]) >= FULL_SCALE ? run + 1 : 0;
        if (run >= CLIPPED_SAMPLES) return tell('clipping');
      }
      return null;
    },
    lookAtFrame(track, index) {
      const { levelDb, f0Hz } = track.columns;
      const level = levelDb[index];
      silent = level < SILENT_DB ? silent + 1 : 0;
      if (silent >= SILENT_FRAMES) return tell('silence');
      // A held note is no noise: only stretches without pitch say how loud the room is.
      if (!Number.isNaN(f0Hz[index])) frames = 0;
      else frames++;
      quietestDb = frames <= 1 ? level : Math.min(quietestDb, level);
      return frames >= ROOM_FRAMES && quietestDb > softestDb ? tell('noisyRoom') : null;
    },
  };
}
