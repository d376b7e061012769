import { columnValue, FRAME_SECONDS, type FrameTrack } from '../hearing/index.ts';
import {
  centsBetween,
  frequencyHz,
  hornById,
  nearestMidi,
  toWritten,
  type HornId,
  type WrittenMidi,
} from '../horn/index.ts';
import { median } from '../stats/index.ts';
import { findNotes } from '../tone/index.ts';

/** So long a tone spoke, and did not only flash up on the way to another. */
const LEAST_SECONDS = 0.25;

/** A tone that was found while the fingers stayed where they are. */
export interface HeardTone {
  writtenMidi: WrittenMidi;
  /** Off that note, equal-tempered. */
  cents: number;
  startSeconds: number;
  seconds: number;
}

/** Every tone of at least 0.25 s in a take, as the written note it is nearest to on this horn, in the order of playing. */
export function heardTones(
  track: FrameTrack,
  { hornId, a4Hz, roomFloorDb }: { hornId: HornId; a4Hz: number; roomFloorDb: number | null },
): HeardTone[] {
  return findNotes(track, roomFloorDb).flatMap(({ first, last }) => {
    const pitches: number[] = [];
    for (let i = first; i <= last; i++) {
      const hz = columnValue(track.columns.f0Hz, i);
      if (hz !== null) pitches.push(hz);
    }
    const hz = median(pitches);
    const seconds = (last - first + 1) * FRAME_SECONDS;
    if (hz === null || seconds < LEAST_SECONDS) return [];
    const nearest = nearestMidi(hz, a4Hz);
    return {
      writtenMidi: toWritten(nearest, hornById(hornId)),
      cents: centsBetween(hz, frequencyHz(nearest, a4Hz)),
      startSeconds: first * FRAME_SECONDS,
      seconds,
    };
  });
}
