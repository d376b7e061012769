import { columnValue, FRAME_SECONDS, type FrameTrack } from '../hearing/index.ts';
import { median, percentile } from '../stats/index.ts';
import { continues, MIN_TONE_FRAMES, toneTest, type ToneSpan } from './toneSpan.ts';

/** Within this distance two stretches are the same note; beyond it a steady pitch is another one. */
const SAME_NOTE_CENTS = 60;
/** A hole, or a slip to another pitch, shorter than this does not end a note that goes on after it. */
const BRIDGE_FRAMES = Math.round(0.15 / FRAME_SECONDS);

/** So short a stretch of so wide a glide is a syllable or a noise; a note would have settled. */
const GLIDE_FRAMES = Math.round(0.3 / FRAME_SECONDS);
const GLIDE_CENTS = 35;

/** A stretch of tone around one pitch; `cents` is its median over 1 Hz. */
export interface Stretch extends ToneSpan {
  cents: number;
}

/**
 * The notes of free playing, in order: stretches of tone whose pitch stays within 60 cents of their own median.
 * Needs no exercise and knows no horn. A hole or slip of under 150 ms inside one pitch does not end it. Tongued
 * repeats of one pitch with shorter holes are therefore one note, with gaps. What glides and is over within 300 ms is
 * somebody speaking. `roomFloorDb` in dBFS, null where
 * the room was never measured.
 */
export function findNotes(track: FrameTrack, roomFloorDb: number | null): ToneSpan[] {
  const stretches = findStretches(track, roomFloorDb);
  const notes: Stretch[] = [];
  for (const [i, stretch] of stretches.entries()) {
    const open = notes.at(-1);
    const near = (other: Stretch, frames: number) =>
      open !== undefined &&
      Math.abs(other.cents - open.cents) <= SAME_NOTE_CENTS &&
      other.first - frames <= BRIDGE_FRAMES;
    if (open && near(stretch, open.last + 1)) {
      open.last = stretch.last;
      continue;
    }
    // A short stray between two parts of one note is an event of that note.
    const next = stretches[i + 1];
    if (open && next && near(next, open.last + 1)) continue;
    notes.push({ ...stretch });
  }
  return notes.map(({ first, last }) => ({ first, last }));
}

/** Connected tone of at least 50 ms, parted where its pitch leaves its own median by more than 60 cents. */
export function findStretches(track: FrameTrack, roomFloorDb: number | null): Stretch[] {
  const isTone = toneTest(track, roomFloorDb);
  const cents = (i: number) => 1200 * Math.log2(track.columns.f0Hz[i]);
  const stretches: Stretch[] = [];
  let pitches: number[] = [];
  let middle = 0;
  const close = (end: number) => {
    if (pitches.length >= MIN_TONE_FRAMES && !isGlide(pitches))
      stretches.push({ first: end - pitches.length, last: end - 1, cents: median(pitches) ?? 0 });
    pitches = [];
  };
  for (let i = 0; i <= track.count; i++) {
    if (i === track.count || columnValue(track.columns.f0Hz, i) === null || !isTone(i)) {
      close(i);
      continue;
    }
    const here = cents(i);
    if (pitches.length > 0 && (!continues(track, i) || Math.abs(here - middle) > SAME_NOTE_CENTS)) close(i);
    pitches.push(here);
    // The median of a growing row is dear; its last half second says where the note is now.
    middle = pitches.length % 5 === 1 || pitches.length < 10 ? (median(pitches.slice(-50)) ?? here) : middle;
  }
  return stretches;
}

function isGlide(cents: readonly number[]): boolean {
  if (cents.length >= GLIDE_FRAMES) return false;
  return (percentile(cents, 90) ?? 0) - (percentile(cents, 10) ?? 0) > GLIDE_CENTS;
}
