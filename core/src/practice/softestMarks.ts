import { markFraction, nearestMark, type DynamicMark, type DynamicScale } from '../exercise/index.ts';
import type { WrittenMidi } from '../horn/index.ts';
import { figureOf } from './figures.ts';
import type { PractisedNote } from './practisedNotes.ts';

const DAY_MS = 86_400_000;
const LATELY_DAYS = 28;
/** Newest times of a note that are looked at. */
const LATEST = 10;
/** A note of which nothing softer than this is known was not tried softly. */
const SOFT = markFraction('mp');

/**
 * The softest mark that each note lately reached and was as written: of its newest ten times within four weeks. Notes that were played
 * loudly only are left out. `now` in ms; `scale` is the player's own.
 */
export function softestMarks(
  notes: readonly PractisedNote[],
  scale: DynamicScale,
  now: number,
): Map<WrittenMidi, DynamicMark> {
  const byNote = new Map<WrittenMidi, number[]>();
  const lately = notes.filter(
    ({ at, asWritten, writtenMidi, fingeredMidi }) =>
      asWritten && writtenMidi === fingeredMidi && at <= now && now - at <= LATELY_DAYS * DAY_MS,
  );
  for (const note of lately.toSorted((a, b) => b.at - a.at)) {
    const softestDb = figureOf(note, 'softestDb');
    if (softestDb === null) continue;
    const levels = byNote.get(note.writtenMidi);
    if (!levels) byNote.set(note.writtenMidi, [softestDb]);
    else if (levels.length < LATEST) levels.push(softestDb);
  }
  const marks = [...byNote].map(([midi, levels]): [WrittenMidi, DynamicMark] => [
    midi,
    nearestMark(Math.min(...levels), scale),
  ]);
  return new Map(marks.filter(([, mark]) => markFraction(mark) <= SOFT).toSorted(([a], [b]) => a - b));
}
