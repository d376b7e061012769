import type { NoteItem } from '../exercise/index.ts';
import type { NoteLevel } from './levelFindings.ts';
import type { ItemMeasures } from './measures.ts';
import type { TakeEvent } from './takeEvent.ts';
import type { Tolerance } from './tolerances.ts';

/** One note of a take as its findings are read from it: what was written, what was measured, and what stood around it. */
export interface NoteHeard {
  note: NoteItem;
  measures: ItemMeasures;
  /** Of this note only. */
  events: readonly TakeEvent[];
  onsetSeconds: number;
  tolerance: Tolerance;
  writtenSeconds: number;
  /** The note before stood out of the line, and this one is where the line was. */
  isBackInLine: boolean;
  /** Held until the player moves: it is short only where it hardly sounded. */
  isOwnTime: boolean;
  /** When it should end, on the take's clock. */
  writtenEndSeconds: number;
  /** Partials of the fingered tube: the one written, and the one that sounded for most of the note. */
  partial: number;
  heardPartial: number | null;
  /** The hole between it and a note that is slurred to; null where there is none. */
  holeAfterMs: number | null;
  /** Air was drawn in its hole. */
  breathHeard: boolean;
  /** The sound went on out of the note before without a break, however it is written. */
  isJoined: boolean;
  airBeforeWasWritten: boolean;
  airAfterWasWritten: boolean;
  /** How long the room takes to let a tone sink under the next, ms; 0 where it is dry. */
  ringsMs: number;
  /** It began so soon after the one before that the room still rang with that. */
  isOverTail: boolean;
  /** Air before it would have been heard, had there been any. */
  airWouldBeHeard: boolean;
  usualSoftBreathDb: number | null;
  /** How loud others are beside the player, dBFS; null where nobody was heard. */
  othersDb: number | null;
  level: NoteLevel;
}
