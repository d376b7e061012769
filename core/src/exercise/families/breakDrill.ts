import type { NoteItem, Phrase } from '../exercise.ts';
import { OPEN_D_KEYS } from './matchDrills.ts';
import { defineFamily, note, restOf, slurred } from './family.ts';
import {
  choiceOption,
  markOption,
  orderOption,
  paceOption,
  readOrder,
  tempoOption,
  timesOption,
} from './options.ts';

type Pattern = Pick<Phrase, 'items'> & Partial<Phrase>;

const [C5, D5, E5, F5] = [72, 74, 76, 77];

const BREAK_PATTERNS = ['twoDown', 'threeDown', 'overRest', 'slurUp'] as const;

/** Over the break between C#5 and D5, from above and from below, slurred and over a gap without a breath. */
export const breakDrill = defineFamily({
  id: 'breakDrill',
  skill: 'voicing',
  purposes: ['voicing', 'line'],
  headline: 'slurs',
  options: ({ lowest, highest }) =>
    lowest > C5 || highest < F5
      ? null
      : {
          path: choiceOption(['asWritten', 'fromBelow'], 'asWritten'),
          order: orderOption(BREAK_PATTERNS),
          route: choiceOption(['own', 'openD'], 'own'),
          tries: timesOption(1, 1, 8),
          from: markOption('mf'),
          tempoBpm: tempoOption(60),
          start: paceOption('ownTime'),
        },
  write({ path, order, route, tries, from }) {
    const opened = (item: NoteItem): NoteItem =>
      route === 'openD' ? { ...item, keys: [...OPEN_D_KEYS] } : item;
    const patterns: Record<(typeof BREAK_PATTERNS)[number], Pattern> = {
      twoDown: { items: [note(E5, 4, from), opened(slurred(D5, 4, from))] },
      threeDown: { items: [note(F5, 2, from), slurred(E5, 2, from), opened(slurred(D5, 4, from))] },
      overRest: {
        items: [
          note(C5, 4, from),
          { kind: 'rest', lengthBeats: 2, breath: 'none' },
          opened(note(D5, 4, from, from, 'breath')),
        ],
        breath: 'one',
      },
      slurUp: { items: [note(C5, 4, from), opened(slurred(D5, 4, from))] },
    };
    const usual =
      path === 'fromBelow'
        ? ([...BREAK_PATTERNS.slice(2), ...BREAK_PATTERNS.slice(0, 2)] as const)
        : BREAK_PATTERNS;
    const chosen = readOrder(order, BREAK_PATTERNS);
    return {
      rest: restOf(4),
      phrases: (chosen.length > 0 ? chosen : usual).map((name) => ({ ...patterns[name], repeats: tries })),
    };
  },
});
