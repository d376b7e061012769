import {
  LEAST_BEATS,
  LEAST_MIDI,
  MOST_BEATS,
  MOST_MIDI,
  MOST_NAME,
  MOST_PHRASES,
  parseExercise,
  type Exercise,
} from '../exercise/index.ts';
import type { Horn } from '../horn/index.ts';
import { writtenOf, type ScoreReading } from './fitToHorn.ts';
import { loudnessOf } from './scoreLoudness.ts';
import { phrasesOf, type MadeOfScore, type PlacedNote } from './scorePhrases.ts';
import type { ReadScore, ScoreNote, ScorePart } from './scorePart.ts';

export interface ScoreChoice {
  /** Which part, by its place. */
  part: number;
  /** First and last bar, by their place; both included. */
  fromBar: number;
  toBar: number;
  reading: ScoreReading;
  /** Octaves up (+) or down (-). */
  octaves: number;
  make: MadeOfScore;
}

/** A note that could not be taken over, and why. */
export interface ScoreFault {
  kind: 'belowRange' | 'aboveRange';
  count: number;
}

export interface ScoreMade {
  exercise: Exercise;
  faults: ScoreFault[];
}

/**
 * Bars of a part as an exercise for a horn whose range is the player's own. Notes outside the range stay and are told; shorter
 * ones than a sixteenth make the whole twice as long as often as it takes. Null where the bars hold no note.
 */
export function scoreExercise(score: ReadScore, choice: ScoreChoice, horn: Horn): ScoreMade | null {
  const part = score.parts.at(choice.part);
  const [first, last] = [part?.bars.at(choice.fromBar), part?.bars.at(choice.toBar)];
  if (!part || !first || !last) return null;
  const from = first.startBeat;
  const to = last.startBeat + last.lengthBeats;
  const chosen = part.notes.filter(({ startBeat }) => startBeat >= from - 1e-6 && startBeat < to - 1e-6);
  if (chosen.length === 0) return null;
  const shortest = Math.min(...chosen.map(({ lengthBeats }) => lengthBeats));
  let stretch = 1;
  while (shortest * stretch < LEAST_BEATS - 1e-6 && stretch < 8) stretch *= 2;
  const asked = chosen.map((note): PlacedNote => placed(note, part, choice, horn, from, to, stretch));
  const faults = faultsOf(asked, horn);
  const notes = asked.map(writable);
  const tempo = (score.tempoBpm ?? 60) * stretch;
  const exercise = parseExercise({
    version: 3,
    name: nameOf(score, part),
    tempoBpm: Math.round(Math.max(20, Math.min(300, tempo))),
    beatsPerBar: Math.max(1, Math.min(12, Math.round(score.beatsPerBar * stretch))),
    start: 'countIn',
    phrases: phrasesOf(notes, choice.make, loudnessOf(part, from, stretch), horn).slice(0, MOST_PHRASES),
  });
  return { exercise, faults };
}

function nameOf({ title }: ReadScore, { name }: ScorePart): string {
  const both = [title, name].map((each) => each.trim()).filter(Boolean);
  return both.join(', ').slice(0, MOST_NAME).trim() || 'MusicXML';
}

function placed(
  note: ScoreNote,
  part: ScorePart,
  { reading, octaves }: ScoreChoice,
  horn: Horn,
  from: number,
  to: number,
  stretch: number,
): PlacedNote {
  const midi = writtenOf(note, horn, reading) + 12 * octaves;
  const bar = part.bars.findLast(({ startBeat }) => startBeat <= note.startBeat + 1e-6);
  const moved = midi - note.writtenMidi;
  return {
    midi,
    fingered: note.fingeredMidi === null ? null : note.fingeredMidi + moved,
    start: (note.startBeat - from) * stretch,
    length: Math.max(
      LEAST_BEATS,
      Math.min(Math.min(note.lengthBeats, to - note.startBeat) * stretch, MOST_BEATS - LEAST_BEATS),
    ),
    slurred: note.slurred,
    // Transposed, a key has another name, which the notes themselves tell well enough.
    key: moved === 0 ? (bar?.key ?? null) : null,
  };
}

/** A note far outside every horn, an octave or more nearer, as far as exercises reach; it is told as outside all the same. */
function writable(note: PlacedNote): PlacedNote {
  const into = (midi: number) =>
    midi < LEAST_MIDI
      ? midi + 12 * Math.ceil((LEAST_MIDI - midi) / 12)
      : midi > MOST_MIDI
        ? midi - 12 * Math.ceil((midi - MOST_MIDI) / 12)
        : midi;
  return { ...note, midi: into(note.midi), fingered: note.fingered === null ? null : into(note.fingered) };
}

function faultsOf(notes: readonly PlacedNote[], horn: Pick<Horn, 'lowest' | 'highest'>): ScoreFault[] {
  const count = (test: (note: PlacedNote) => boolean) => notes.filter(test).length;
  const found: ScoreFault[] = [
    { kind: 'belowRange', count: count(({ midi }) => midi < horn.lowest) },
    { kind: 'aboveRange', count: count(({ midi }) => midi > horn.highest) },
  ];
  return found.filter((fault) => fault.count > 0);
}
