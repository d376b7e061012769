import type { Exercise, ExerciseItem, NoteItem, Phrase, PhraseOrder, RestRule } from './exercise.ts';

/** An item at its place in time. */
export interface TimedItem<Item extends ExerciseItem = ExerciseItem> {
  item: Item;
  /** Which phrase of the playing order it belongs to. */
  phrase: number;
  startBeat: number;
  endBeat: number;
}

/** Length of one phrase in beats. */
export function phraseBeats({ items }: Pick<Phrase, 'items'>): number {
  return items.reduce((sum, item) => sum + item.lengthBeats, 0);
}

/** Every phrase as often and in the order it is played. */
export function playedPhrases({ phrases, order }: Pick<Exercise, 'phrases' | 'order'>): Phrase[] {
  return ordered(phrases, order).flatMap((phrase) =>
    Array.from({ length: phrase.repeats }, () => ({ ...phrase, repeats: 1 })),
  );
}

function ordered(phrases: readonly Phrase[], order: PhraseOrder): Phrase[] {
  const lowest = ({ items }: Phrase) =>
    Math.min(...items.map((item) => ('writtenMidi' in item ? item.writtenMidi : Infinity)));
  if (order === 'asWritten') return [...phrases];
  const rising = phrases.toSorted((a, b) => lowest(a) - lowest(b));
  if (order === 'upward') return rising;
  if (order === 'downward') return rising.toReversed();
  // From the middle: one below, one above, and so on outward.
  const middle = (rising.length - 1) / 2;
  const distance = (phrase: Phrase) => Math.abs(rising.indexOf(phrase) - middle);
  return rising.toSorted((a, b) => distance(a) - distance(b) || lowest(a) - lowest(b));
}

/** How the player rests after a phrase. */
export function restAfter({ rest }: Pick<Exercise, 'rest'>, phrase: Pick<Phrase, 'rest'>): RestRule {
  return phrase.rest ?? rest;
}

/** Whether the player decides when the phrase of this place in the playing order comes. */
export function waitsBefore(exercise: Exercise, index: number): boolean {
  const before = index > 0 ? playedPhrases(exercise).at(index - 1) : undefined;
  return before !== undefined && restAfter(exercise, before).kind === 'wait';
}

/** Beats of rest after a phrase; 0 where the player decides. */
export function restBeats(exercise: Pick<Exercise, 'rest'>, phrase: Phrase): number {
  const rest = restAfter(exercise, phrase);
  return rest.kind === 'beats' ? rest.beats : rest.kind === 'wait' ? 0 : Math.ceil(phraseBeats(phrase));
}

/** How many items are played in all, repeats counted; what is not filled in yet is played once. */
export function playedItems(phrases: readonly Pick<Phrase, 'items' | 'repeats'>[]): number {
  return phrases.reduce((sum, { items, repeats }) => sum + items.length * (repeats ?? 1), 0);
}

/** The whole exercise on one line of time: phrases in playing order, the rests between them left empty. */
export function scoreOf(exercise: Exercise): TimedItem[] {
  let beat = 0;
  return playedPhrases(exercise).flatMap((phrase, index) => {
    const items = phrase.items.map((item) => {
      const startBeat = beat;
      beat += item.lengthBeats;
      return { item, phrase: index, startBeat, endBeat: beat };
    });
    beat += restBeats(exercise, phrase);
    return items;
  });
}

/** Place in the playing order of the phrase that shows best what an exercise is: the first that is bent, else the first with a note. */
export function tellingPhrase(exercise: Exercise): number {
  const phrases = playedPhrases(exercise);
  const has = (test: (note: NoteItem) => boolean) =>
    phrases.findIndex(({ items }) => items.some((item) => item.kind === 'note' && test(item)));
  const bent = has(({ bend }) => bend !== undefined);
  return Math.max(0, bent >= 0 ? bent : has(() => true));
}

/** Length of the whole exercise in beats, from the first item to the end of the last. */
export function lengthBeats(exercise: Exercise): number {
  return scoreOf(exercise).at(-1)?.endBeat ?? 0;
}

/**
 * One phrase of an exercise as an exercise of its own: what a take is judged by. `index` counts in playing order. What has
 * no note that could start it is counted in.
 */
export function phraseExercise(exercise: Exercise, index: number): Exercise {
  const { forSeconds: _, ...phrase } = playedPhrases(exercise)[index];
  const startsByNote = phrase.items.some(({ kind }) => kind === 'note');
  return {
    ...exercise,
    start: startsByNote ? exercise.start : 'countIn',
    order: 'asWritten',
    phrases: [phrase],
  };
}

/** The notes of a score. */
export function notesOf(score: readonly TimedItem[]): TimedItem<NoteItem>[] {
  return score.filter((timed): timed is TimedItem<NoteItem> => timed.item.kind === 'note');
}

/** The only note of an exercise that has one, or null: such a take is read as one tone, whatever happens in it. */
export function onlyNote(exercise: Exercise): NoteItem | null {
  const score = scoreOf(exercise);
  return score.length === 1 && score[0].item.kind === 'note' ? score[0].item : null;
}

/** Place in the playing order of the first phrase that is not a repeat of this one; the count where there is none. */
export function afterRepeats(phrases: readonly Phrase[], index: number): number {
  const { items } = phrases[index];
  const next = phrases.findIndex((phrase, i) => i > index && phrase.items !== items);
  return next < 0 ? phrases.length : next;
}

/** Seconds that all of an exercise takes, its rests too: of phrases that are repeated for a time, that time. */
export function playingSeconds(exercise: Exercise): number {
  const { phrases, tempoBpm } = exercise;
  const seconds = (beats: number) => (60 * beats) / tempoBpm;
  if (phrases.every(({ forSeconds }) => forSeconds === undefined)) return seconds(lengthBeats(exercise));
  return phrases.reduce(
    (sum, phrase) =>
      sum +
      (phrase.forSeconds ?? phrase.repeats * seconds(phraseBeats(phrase) + restBeats(exercise, phrase))),
    0,
  );
}

/** Which of how many a phrase of the playing order is, as a player counts: repeats that go on for a time are one. */
export function placeInRound(exercise: Exercise, index: number): { place: number; count: number } {
  const phrases = playedPhrases(exercise);
  const begins = phrases.flatMap(({ items, forSeconds }, i) =>
    i > 0 && forSeconds !== undefined && phrases[i - 1].items === items ? [] : [i],
  );
  return { place: begins.filter((i) => i <= index).length, count: begins.length };
}

/** How often a phrase is played, as it stands on paper: once where it is repeated for a time. */
export const writtenRepeats = ({ repeats, forSeconds }: Pick<Phrase, 'repeats' | 'forSeconds'>): number =>
  forSeconds === undefined ? repeats : 1;

/** An exercise as it stands on paper: what is repeated for a time is written once. */
export const onPaper = (exercise: Exercise): Exercise => ({
  ...exercise,
  phrases: exercise.phrases.map((phrase) => ({ ...phrase, repeats: writtenRepeats(phrase) })),
});
