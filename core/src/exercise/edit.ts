import { writtenMidi } from '../horn/index.ts';
import { DYNAMIC_MARKS, type DynamicMark } from './dynamics.ts';
import type { DynamicPoint, ExerciseItem, NoteItem, Phrase } from './exercise.ts';
import { phraseBeats } from './score.ts';
import { targetFraction } from './target.ts';
import { MOST_POINTS } from './limits.ts';

/** A phrase moved by half steps, fingerings with it; its key is no longer that of its notes. */
export function transposed(phrase: Phrase, halfSteps: number): Phrase {
  const { key, ...keyless } = phrase;
  return {
    ...keyless,
    items: phrase.items.map((item) => {
      if (!('writtenMidi' in item)) return item;
      const moved = { ...item, writtenMidi: writtenMidi(item.writtenMidi + halfSteps) };
      return moved.kind === 'note' && moved.fingered !== null
        ? { ...moved, fingered: writtenMidi(moved.fingered + halfSteps) }
        : moved;
    }),
  };
}

/** An item at another length, its hairpins, bends and words stretched with it. */
export function withLength<Item extends ExerciseItem>(item: Item, lengthBeats: number): Item {
  const factor = lengthBeats / item.lengthBeats;
  const stretched = <Point extends { beat: number }>(points: readonly Point[]) =>
    points.map((point, i) => ({
      ...point,
      beat: i > 0 && point.beat === item.lengthBeats ? lengthBeats : point.beat * factor,
    }));
  const words = 'words' in item && item.words ? { words: stretched(item.words) } : {};
  if (item.kind !== 'note') return { ...item, ...words, lengthBeats };
  return {
    ...item,
    ...words,
    ...(item.bend && { bend: stretched(item.bend) }),
    dynamics: stretched(item.dynamics),
    lengthBeats,
  };
}

/** An item at another place of its row. */
export function movedTo<Item>(row: readonly Item[], from: number, to: number): Item[] {
  const others = row.filter((_, i) => i !== from);
  return [...others.slice(0, to), row[from], ...others.slice(to)];
}

/** One moment of a brush over the loudness of a phrase. */
export interface BrushPoint {
  beat: number;
  mark: DynamicMark;
}

/** Loudness is painted on half beats. */
const GRID = 0.5;
/** A painted line nearer to a straight one than this, in marks, is meant to be straight. */
const STRAIGHT_MARKS = 0.75;

const stepOf = (mark: DynamicMark) => DYNAMIC_MARKS.indexOf(mark);

/**
 * A phrase with the loudness of its notes painted over: where the brush went it is as painted, straight from one of its
 * points to the next, elsewhere as before. Hairpins come out straight where the hand was nearly so.
 */
export function painted(phrase: Phrase, brush: readonly BrushPoint[]): Phrase {
  if (brush.length === 0) return phrase;
  const beats = phraseBeats(phrase);
  const steps = new Map(
    brush.map(({ beat, mark }) => [
      Math.max(0, Math.min(beats, Math.round(beat / GRID) * GRID)),
      stepOf(mark),
    ]),
  );
  const stroke = [...steps].toSorted(([a], [b]) => a - b);
  const [first, last] = [stroke[0][0], stroke[stroke.length - 1][0]];
  let start = 0;
  return {
    ...phrase,
    items: phrase.items.map((item) => {
      const from = start;
      start += item.lengthBeats;
      if (item.kind !== 'note' || start < first || from > last) return item;
      return { ...item, dynamics: simplified(paintedNote(item, from, stroke)) };
    }),
  };
}

/** The loudness of a note on the grid: under the brush as painted, beside it as it was. */
function paintedNote(note: NoteItem, from: number, stroke: readonly [number, number][]): DynamicPoint[] {
  const points: DynamicPoint[] = [];
  for (let beat = 0; beat < note.lengthBeats; beat += GRID) points.push(at(beat));
  return [...points, at(note.lengthBeats)];

  function at(beat: number): DynamicPoint {
    const step = strokeAt(stroke, from + beat) ?? targetFraction(note, beat) * (DYNAMIC_MARKS.length - 1);
    return { beat, mark: DYNAMIC_MARKS[Math.round(step)] };
  }
}

/** Where the brush was at a beat, in steps of the marks; null before and after it. */
function strokeAt(stroke: readonly [number, number][], beat: number): number | null {
  const after = stroke.findIndex(([at]) => at >= beat);
  if (after < 0) return null;
  const [to, step] = stroke[after];
  if (to === beat) return step;
  if (after === 0) return null;
  const [from, before] = stroke[after - 1];
  return before + ((beat - from) / (to - from)) * (step - before);
}

/** A line that a hand meant: as few points as tell it, and never more than a note may have. */
function simplified(points: readonly DynamicPoint[]): DynamicPoint[] {
  for (let within = STRAIGHT_MARKS; ; within += 0.5) {
    const found = thinned(points, within);
    if (found.length <= MOST_POINTS) return found;
  }
}

/** As few points as tell the same line within so many marks (Ramer 1972, Douglas and Peucker 1973). */
function thinned(points: readonly DynamicPoint[], within: number): DynamicPoint[] {
  const [first, last] = [points[0], points[points.length - 1]];
  let [farthest, most] = [0, 0];
  points.forEach(({ beat, mark }, i) => {
    const share = (beat - first.beat) / (last.beat - first.beat);
    const straight = stepOf(first.mark) + share * (stepOf(last.mark) - stepOf(first.mark));
    const off = Math.abs(stepOf(mark) - straight);
    if (off > most) [farthest, most] = [i, off];
  });
  if (most <= within) return [first, last];
  return [
    ...thinned(points.slice(0, farthest + 1), within),
    ...thinned(points.slice(farthest), within).slice(1),
  ];
}
