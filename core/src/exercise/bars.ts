import type { ExerciseItem, Phrase } from './exercise.ts';

/** Note values of quarter-note beats, longest first. */
export const NOTE_VALUES = [4, 3, 2, 1.5, 1, 0.75, 0.5, 0.25] as const;
export type NoteValue = (typeof NOTE_VALUES)[number];

/** Finest value that is written. */
const GRID = NOTE_VALUES[NOTE_VALUES.length - 1];

/** Part of an item that is written as one note or rest. */
export interface WrittenPart {
  item: ExerciseItem;
  /** Which item of the phrase. */
  index: number;
  /** From the beginning of the phrase, and of its item. */
  startBeat: number;
  inItemBeat: number;
  value: NoteValue;
  /** Goes on in the next part. */
  goesOn: boolean;
}

const onGrid = (beats: number) => Math.round(beats / GRID) * GRID;

/**
 * A phrase in bars, as it is engraved: items cut at bar lines and into values that can be written; the last bar may be
 * short. Lengths off the grid of sixteenths are written on it.
 */
export function barsOf({ items }: Pick<Phrase, 'items'>, beatsPerBar: number): WrittenPart[][] {
  const bars: WrittenPart[][] = [];
  let played = 0;
  items.forEach((item, index) => {
    const start = onGrid(played);
    played += item.lengthBeats;
    const end = Math.max(start + GRID, onGrid(played));
    for (let at = start; at < end;) {
      const left = Math.min(end, (Math.floor(at / beatsPerBar) + 1) * beatsPerBar) - at;
      const value = NOTE_VALUES.find((each) => each <= left) ?? GRID;
      const bar = Math.floor(at / beatsPerBar);
      (bars[bar] ??= []).push({
        item,
        index,
        startBeat: at,
        inItemBeat: at - start,
        value,
        goesOn: at + value < end,
      });
      at += value;
    }
  });
  return bars;
}
