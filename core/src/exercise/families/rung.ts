// Same fingers, another partial. What is fingered lies in the player's range; what sounds may lie over it.

import { HIGHEST_PARTIAL, LAST_FUNDAMENTAL, partialNote, writtenMidi, type Horn } from '../../horn/index.ts';
import type { DynamicMark } from '../dynamics.ts';
import type { Attack, NoteItem } from '../exercise.ts';
import { note } from './family.ts';
import { choiceOption, noteOption } from './options.ts';

export const tuningOption = choiceOption(['tempered', 'pure'], 'tempered');

/** The tubes whose overtones are played: from the lowest note to F4, where the range has them. */
export const tubeOption = ({ lowest }: Horn, usual: number = lowest) =>
  noteOption(lowest, LAST_FUNDAMENTAL, usual);

/** Null where the range begins over the tubes. */
export const withTubes = <Own>(horn: Horn, options: () => Own): Own | null =>
  horn.lowest < LAST_FUNDAMENTAL ? options() : null;

/** The same, where an overtone is held against the note by its own fingering: null too where the range has no such note. */
export const withPlayable = <Own>(horn: Horn, options: () => Own): Own | null =>
  withTubes(horn, () => (partialNote(horn.lowest, 2) > horn.highest ? null : options()));

/** The highest partial of a tube that has a note, as far as was asked for. */
export const within = (tube: number, partial: number, highest: number) => {
  let most = Math.min(partial, HIGHEST_PARTIAL);
  while (most > 2 && partialNote(writtenMidi(tube), most) > highest) most--;
  return most;
};

/** A rung: partial `partial` of the tube of a low note, fingered as that note. */
export function rung(
  tube: number,
  partial: number,
  beats: number,
  mark: DynamicMark,
  attack: Attack,
): NoteItem {
  const sounding = partialNote(writtenMidi(tube), partial);
  return {
    ...note(sounding, beats, mark, mark, attack),
    fingered: partial === 1 ? null : writtenMidi(tube),
  };
}

/** The partials from the first to this one: 1, 2, 3 for 3. */
export const upTo = (partial: number) => Array.from({ length: partial }, (_, i) => i + 1);

/** A rung whose note has a regular fingering in the range: the one asked for, or the nearest below it. */
export function playable(tube: number, partial: number, highest: number) {
  let low = tube;
  while (partialNote(writtenMidi(low), 2) > highest) low--;
  return { low, most: within(low, partial, highest) };
}
