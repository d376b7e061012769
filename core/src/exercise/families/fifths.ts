import { FIRST_SHORT_TUBE, LAST_SHORT_TUBE, overblownFifth, writtenMidi } from '../../horn/index.ts';
import type { NoteItem } from '../exercise.ts';
import { chromatic, defineFamily, note, slurred } from './family.ts';
import {
  beatsOption,
  choiceOption,
  markOption,
  noteOption,
  paceOption,
  tempoOption,
  timesOption,
} from './options.ts';

/** D5 to B5, a half step or a whole step on each time: the note, its overblown fifth with the same fingers, and back. */
export const fifths = defineFamily({
  id: 'fifths',
  skill: 'overtone',
  purposes: ['voicing'],
  headline: 'slurs',
  options({ lowest, highest }) {
    const last = Math.min(LAST_SHORT_TUBE, highest);
    return lowest > FIRST_SHORT_TUBE || last < FIRST_SHORT_TUBE
      ? null
      : {
          note: noteOption(FIRST_SHORT_TUBE, last, FIRST_SHORT_TUBE),
          to: noteOption(FIRST_SHORT_TUBE, last, last),
          steps: choiceOption(['halfSteps', 'wholeSteps'], 'halfSteps'),
          beats: beatsOption(2, 1, 8),
          from: markOption('mf'),
          tries: timesOption(1, 1, 8),
          tempoBpm: tempoOption(60),
          start: paceOption('ownTime'),
        };
  },
  write({ note: first, to, steps, beats, from, tries }) {
    const bases = chromatic(first, to).filter((_, i) => steps === 'halfSteps' || i % 2 === 0);
    return {
      rest: { kind: 'asPlayed' },
      phrases: bases.map((base) => {
        const fifth: NoteItem = {
          ...slurred(overblownFifth(base), beats, from),
          fingered: writtenMidi(base),
        };
        return {
          items: [note(base, beats, from), fifth, slurred(base, beats, from)],
          breath: 'one' as const,
          repeats: tries,
        };
      }),
    };
  },
});
