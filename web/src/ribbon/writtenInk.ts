import {
  bendBySeconds,
  wantedBySeconds,
  writtenNotes,
  type DynamicScale,
  type Exercise,
} from '@inner-hum/core/exercise';
import type { HornId } from '@inner-hum/core/horn';
import type { InkSetting } from './inkTrack.ts';

interface Written {
  exercise: Exercise;
  hornId: HornId;
  a4Hz: number;
  scale: DynamicScale;
}

/** What frames are drawn against where an exercise is played whose beat 0 is at `zeroSeconds` of their clock. */
export function writtenInk({ exercise, hornId, a4Hz, scale }: Written, zeroSeconds: number): InkSetting {
  const wanted = wantedBySeconds(exercise);
  const bend = bendBySeconds(exercise);
  return {
    scale,
    a4Hz,
    notes: writtenNotes(exercise, hornId, a4Hz).map((note) => ({
      ...note,
      isBent: note.item.bend !== undefined,
      fromSeconds: note.fromSeconds + zeroSeconds,
      toSeconds: note.toSeconds + zeroSeconds,
    })),
    wantedAt: (seconds) => wanted(seconds - zeroSeconds),
    bendAt: bend && ((seconds) => bend(seconds - zeroSeconds)),
  };
}
