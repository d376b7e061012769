import type { FrameTrack } from '../hearing/index.ts';
import { median } from '../stats/index.ts';
import type { ToneSpan } from '../tone/index.ts';

/** A tone has its level a little after its first frame, and still has it a little before its last. */
const FROM_FRAMES = 4;
const FRAMES = 10;

/** caughtDb: level, in dBFS, at which a tone caught out of bare air: median of 40-140 ms after its first frame. */
export const caughtDb = ({ columns }: FrameTrack, { first }: ToneSpan): number | null =>
  median(columns.levelDb.subarray(first + FROM_FRAMES, first + FROM_FRAMES + FRAMES));

/** letGoDb: its softest before it fell back to air: median of 140-40 ms before its last frame. */
export const letGoDb = ({ columns }: FrameTrack, { last }: ToneSpan): number | null =>
  median(columns.levelDb.subarray(last - FROM_FRAMES - FRAMES, last - FROM_FRAMES));
