import { centsAtBeat, type NoteItem } from '../exercise/index.ts';
import { faultOf } from './faults.ts';
import type { MeantNote } from './meantNote.ts';
import type { Planning } from './planning.ts';

/** The tongue needs so long from one vowel to the next. */
const VOWEL_SECONDS = 0.2;

/** A figure by seconds from the beginning of the tone; null where nothing is asked for. */
type Course = ((seconds: number) => number | null) | null;

/** The written bend, as deep as this player goes, and the swing of a vibrato. */
export function bendOf(
  { request: { faults }, secondsPerBeat: beat }: Planning,
  { timed: { item, startBeat }, index }: MeantNote,
  toneStart: number,
): Course {
  const { bend } = item;
  const swing = swingOf(faultOf(faults, index, 'vibrato') ?? VIBRATO[item.vibrato ?? 'off']);
  if (!bend) return swing;
  const share = faultOf(faults, index, 'shallowBend')?.share ?? 1;
  return (seconds: number) =>
    share * centsAtBeat(bend, (toneStart + seconds) / beat - startBeat) + (swing?.(seconds) ?? 0);
}

/** How this player's vibrato goes. */
const VIBRATO = {
  off: { rateHz: 0, widthCents: 0 },
  normal: { rateHz: 5.2, widthCents: 20 },
  slow: { rateHz: 3.2, widthCents: 22 },
};
/** A vibrato opens from a straight tone. */
const OPENING_SECONDS = 0.3;

function swingOf({ rateHz, widthCents }: { rateHz: number; widthCents: number }): Course {
  if (widthCents === 0) return null;
  return (seconds) =>
    widthCents *
    Math.min(1, Math.max(0, seconds) / OPENING_SECONDS) *
    Math.sin(2 * Math.PI * rateHz * seconds);
}

/** An overtone is more covered than the same note by its own fingers: heard where one is slurred to the other. */
const COVERED = 0.3;

function isBesideItsOwn(score: Planning['score'], index: number): boolean {
  const here = score[index].item;
  if (here.kind !== 'note' || here.fingered === null) return false;
  return [score.at(index + 1), index > 0 ? score[index - 1] : undefined].some(
    (other) =>
      other?.item.kind === 'note' &&
      other.phrase === score[index].phrase &&
      other.item.writtenMidi === here.writtenMidi &&
      other.item.fingered === null,
  );
}

/** From bright to dark through the written vowels, one after the other. */
export function colourOf(
  { request: { faults }, secondsPerBeat: beat, score }: Planning,
  { timed: { item, startBeat }, index }: MeantNote,
  toneStart: number,
) {
  if (isSubtone(faults, item, index)) return () => SUBTONE_COLOUR;
  const fixed = faultOf(faults, index, 'colour');
  if (fixed) return () => fixed.at;
  if (isBesideItsOwn(score, index)) return () => COVERED;
  const { words, judged } = item;
  if (!words || words.length < 2 || !judged?.includes('colour') || faultOf(faults, index, 'oneColour'))
    return null;
  return (seconds: number) => {
    const at = (toneStart + seconds) / beat - startBeat;
    const index = Math.max(
      0,
      words.findLastIndex((word) => word.beat <= at),
    );
    const arrived = index === 0 ? 1 : Math.min(1, ((at - words[index].beat) * beat) / VOWEL_SECONDS);
    return 1 - Math.max(0, index - 1 + arrived) / (words.length - 1);
  };
}

/** How a subtone is made: round and airy; a weak one is more air than tone. */
const SUBTONE_COLOUR = 0;
const SUBTONE_BREATH_DB = -9;
const WEAK_BREATH_DB = 4;

function isSubtone(faults: Planning['request']['faults'], { tone }: NoteItem, index: number): boolean {
  return tone === 'subtone' && !faultOf(faults, index, 'noSubtone') && !faultOf(faults, index, 'weak');
}

/** Breath against tone in dB by seconds from the onset, of what is, or is by mistake no, subtone; null: as the loudness has it. */
export function breathOf({ request: { faults } }: Planning, { timed: { item }, index }: MeantNote) {
  if (faultOf(faults, index, 'weak')) return () => WEAK_BREATH_DB;
  return isSubtone(faults, item, index) ? () => SUBTONE_BREATH_DB : null;
}

/** One course until a moment, another from there on; each counts from its own beginning. */
export function joined(before: Course, atSeconds: number, after: Course): Course {
  if (!before && !after) return null;
  return (seconds) =>
    seconds < atSeconds ? (before?.(seconds) ?? null) : (after?.(seconds - atSeconds) ?? null);
}
