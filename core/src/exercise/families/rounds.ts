import type { NoteItem, Pace, Phrase } from '../exercise.ts';
import { choiceOption } from './options.ts';

const COUNTS = { one: 1, two: 2, three: 3, four: 4 };
/** More rounds than this nobody plays in one breath. */
const UNTIL_STOP = 12;

/** How often a short slurred pattern goes round in one breath. */
export const roundsOption = choiceOption(['one', 'two', 'three', 'four', 'untilStop'], 'one');

/**
 * A slurred pattern so many times in one breath, each round slurred to; where it ends on the note it began on, that note is held over. Until
 * the player stops only in the player's own time: with a beat it goes round four times.
 */
export function inRounds(
  items: readonly NoteItem[],
  rounds: (typeof roundsOption)['values'][number],
  start: Pace,
): Pick<Phrase, 'items'> & Partial<Phrase> {
  const isOpen = rounds === 'untilStop' && start === 'ownTime';
  const count = isOpen ? UNTIL_STOP : COUNTS[rounds === 'untilStop' ? 'four' : rounds];
  const [first, ...others] = items;
  const last = items[items.length - 1];
  const isClosed = first.writtenMidi === last.writtenMidi && first.fingered === last.fingered;
  const again: NoteItem[] = isClosed ? others : [{ ...first, attack: 'slurred' }, ...others];
  return {
    items: [...items, ...Array.from({ length: count - 1 }, () => again).flat()],
    ...(isOpen && { open: true }),
  };
}
