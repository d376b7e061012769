import {
  LEAST_BEATS,
  MOST_ITEMS,
  type DynamicMark,
  type DynamicPoint,
  type ExerciseItem,
  type MajorKey,
} from '../exercise/index.ts';
import { writtenMidi, type Horn } from '../horn/index.ts';
import { DIVISIONS } from './divisions.ts';

/** What a part can become: the line as it is, its notes as long tones, bars over and over, or the line in two octaves in turn. */
export const MADE_OF_SCORE = ['line', 'longTones', 'loop', 'octaves'] as const;
export type MadeOfScore = (typeof MADE_OF_SCORE)[number];

/** A line without rests is cut into phrases of about so many beats, at a bar. */
const PHRASE_BEATS = 16;
/** A rest as long as this ends a phrase. */
const PHRASE_REST_BEATS = 1;
const LONG_TONE_BEATS = 8;
const LOOP_TIMES = 4;
/** Smaller holes between notes are how they are tongued. */
const LEAST_REST_BEATS = 0.2;

/** A note of a part as it is written for the horn; beats from the first bar that was chosen. */
export interface PlacedNote {
  midi: number;
  fingered: number | null;
  start: number;
  length: number;
  slurred: boolean;
  key: MajorKey | null;
}

export type NewPhrase = { items: unknown[]; breath: 'one' | 'free'; repeats: number; key?: MajorKey };

/** The notes as phrases of what is to be made of them; `loudness` by the beat. */
export function phrasesOf(
  notes: readonly PlacedNote[],
  make: MadeOfScore,
  loudness: (beat: number) => DynamicMark,
  horn: Pick<Horn, 'lowest' | 'highest'>,
): NewPhrase[] {
  if (make === 'longTones') {
    const pitches = [...new Set(notes.map(({ midi }) => midi))];
    return pitches.map((midi) => ({
      items: [{ kind: 'note', writtenMidi: midi, lengthBeats: LONG_TONE_BEATS }],
      breath: 'one',
      repeats: 1,
    }));
  }
  const pieces = cut(notes, make === 'loop' ? null : PHRASE_BEATS);
  const phrases = pieces.map((piece): NewPhrase => {
    const key = piece[0].key;
    return {
      items: itemsOf(piece, loudness),
      breath: 'free',
      repeats: make === 'loop' ? LOOP_TIMES : 1,
      ...(key !== null && { key }),
    };
  });
  if (make !== 'octaves') return phrases;
  return phrases.flatMap((phrase) => {
    const other = octaveOf(phrase, horn);
    return other ? [phrase, other] : [phrase];
  });
}

/** Cuts a line where it rests, and where it has gone on for so many beats (null: nowhere); never too long for one phrase. */
function cut(notes: readonly PlacedNote[], mostBeats: number | null): PlacedNote[][] {
  const pieces: PlacedNote[][] = [];
  for (const note of notes) {
    const open = pieces.at(-1);
    const before = open?.at(-1);
    const rest = before ? note.start - before.start - before.length : 0;
    const isFull =
      open !== undefined &&
      // A note and the rest before it are two items.
      (2 * open.length + 2 > MOST_ITEMS ||
        (mostBeats !== null && (rest >= PHRASE_REST_BEATS || note.start - open[0].start >= mostBeats)));
    if (!open || isFull) pieces.push([note]);
    else open.push(note);
  }
  return pieces;
}

function itemsOf(notes: readonly PlacedNote[], loudness: (beat: number) => DynamicMark): ExerciseItem[] {
  const items: ExerciseItem[] = [];
  notes.forEach((note, i) => {
    const next = notes.at(i + 1);
    const gap = next ? next.start - note.start - note.length : 0;
    // A short hole belongs to the note.
    const lengthBeats = grid(gap < LEAST_REST_BEATS ? note.length + Math.max(0, gap) : note.length);
    items.push({
      kind: 'note',
      writtenMidi: writtenMidi(note.midi),
      fingered: note.fingered === null ? null : writtenMidi(note.fingered),
      lengthBeats,
      open: false,
      dynamics: pointsOf(note.start, lengthBeats, loudness),
      attack: note.slurred && i > 0 ? 'slurred' : 'any',
      judged: null,
    });
    if (gap >= LEAST_BEATS) items.push({ kind: 'rest', lengthBeats: grid(gap), breath: 'free' });
  });
  return items;
}

/** Triplets are a third of a beat for everyone but a computer. */
const grid = (beats: number) => Math.max(LEAST_BEATS, Math.round(beats * DIVISIONS) / DIVISIONS);

function pointsOf(start: number, length: number, loudness: (beat: number) => DynamicMark): DynamicPoint[] {
  const end = loudness(start + length - 1e-3);
  return [
    { beat: 0, mark: loudness(start) },
    { beat: length, mark: end },
  ];
}

/** A phrase an octave away, up where there is room, else down; null where there is none. */
function octaveOf(phrase: NewPhrase, horn: Pick<Horn, 'lowest' | 'highest'>): NewPhrase | null {
  const items = phrase.items as ExerciseItem[];
  const midis = items.flatMap((item) => (item.kind === 'note' ? [item.writtenMidi] : []));
  const by =
    Math.max(...midis) + 12 <= horn.highest ? 12 : Math.min(...midis) - 12 >= horn.lowest ? -12 : null;
  if (by === null) return null;
  return {
    ...phrase,
    items: items.map((item) =>
      item.kind === 'note'
        ? { ...item, writtenMidi: writtenMidi(item.writtenMidi + by), fingered: null }
        : item,
    ),
  };
}
