import {
  playedPhrases,
  scoreOf,
  spellingKey,
  type DynamicScale,
  type Exercise,
  type ExerciseItem,
  type NoteItem,
} from '../exercise/index.ts';
import type { HornId } from '../horn/index.ts';
import {
  isNeutral,
  type ItemAnalysis,
  type ItemMeasures,
  type NoteAnalysis,
  type TakeAnalysis,
  type FindingKind,
} from '../judge/index.ts';
import type { NamedNote } from './statement.ts';

/** A judged take, as far as an answer is made of it. */
export interface PlayedTake {
  /** As it was judged. */
  exercise: Exercise;
  hornId: HornId;
  scale: DynamicScale;
  analysis: Pick<TakeAnalysis, 'items' | 'processing'>;
  /** Of a comparison: played after what is compared. Absent: before. */
  isAfter?: boolean;
}

/** One item with what was written for it. */
export interface PlayedItem {
  /** Which of the takes. */
  take: number;
  written: ExerciseItem;
  heard: ItemAnalysis;
}

/** One note with what was written for it. */
export interface PlayedNote {
  take: number;
  written: NoteItem & Pick<NamedNote, 'spelledIn'>;
  heard: NoteAnalysis;
  /** Null where it was not heard. */
  measures: ItemMeasures | null;
}

/** Every item of several takes, in the order of playing; what an item was written as can be told only while it is there. */
export const itemsOf = (takes: readonly PlayedTake[]): PlayedItem[] =>
  takes.flatMap(({ exercise, analysis }, take) => {
    const score = scoreOf(exercise);
    const spelled = playedPhrases(exercise).map(spellingKey);
    return analysis.items.flatMap((heard) => {
      const timed = score.at(heard.item);
      const key = timed && spelled[timed.phrase];
      return timed ? [{ take, written: { ...timed.item, ...(key && { spelledIn: key }) }, heard }] : [];
    });
  });

/** Every note of them. */
export const notesIn = (takes: readonly PlayedTake[]): PlayedNote[] =>
  itemsOf(takes).flatMap(({ take, written, heard }) =>
    written.kind === 'note' && heard.kind === 'note'
      ? [{ take, written, heard, measures: heard.status === 'played' ? heard.measures : null }]
      : [],
  );

/** Whether one of these was found in a note. */
export const hasFound = ({ heard }: PlayedNote, ...kinds: readonly FindingKind[]): boolean =>
  heard.verdict?.findings.some(({ kind }) => kinds.includes(kind)) ?? false;

/** Whether nothing stood out in a note. */
export const isCalm = ({ heard }: PlayedNote): boolean => heard.verdict?.findings.every(isNeutral) ?? true;

/** What a note is called. */
export const nameOf = ({
  writtenMidi,
  fingered,
  tone,
  spelledIn,
}: NoteItem & Pick<NamedNote, 'spelledIn'>): NamedNote => ({
  writtenMidi,
  fingered,
  ...(tone && { tone }),
  ...(spelledIn && { spelledIn }),
});

/** What was measured of each, without those of which it was not. */
export const measured = <Item>(items: readonly Item[], figure: (item: Item) => number | null | undefined) =>
  items.flatMap((item) => {
    const value = figure(item);
    return typeof value === 'number' && Number.isFinite(value) ? [value] : [];
  });

/** The one whose figure is the largest; null for none. */
export function most<Item>(
  items: readonly Item[],
  figure: (item: Item) => number | null | undefined,
): Item | null {
  let found: Item | null = null;
  let largest = -Infinity;
  for (const item of items) {
    const value = figure(item);
    if (typeof value === 'number' && value > largest) [found, largest] = [item, value];
  }
  return found;
}

/** How far a note was bent, down or up. */
export const bentCents = (measures: ItemMeasures | null | undefined) =>
  measures?.bendRangeCents ?? measures?.raiseRangeCents;

/** It went to another partial, at once or on the way. */
export const JUMPED: readonly FindingKind[] = [
  'firstPartial',
  'lowPartial',
  'highPartial',
  'fellBack',
  'jump',
];
