import { fingeringKey, startFingerings, writtenMidi, type Horn } from '../../horn/index.ts';
import type { NoteItem } from '../exercise.ts';
import { defineFamily, note as plainNote } from './family.ts';
import { highNote, highNoteOptions, withHigh } from './high.ts';
import { beatsOption, halfStepsOption, markOption, paceOption, tempoOption, timesOption } from './options.ts';

/** B flat 6 down to G6 is where most begin. */
const USUAL_NOTE = 94;
const USUAL_DROP = 3;

/** The keys of the higher note: the chosen ones, else those one starts from. They are held under both notes, so they must be known. */
const keysOf = (note: number, keys: string, { id }: Pick<Horn, 'id'>): string => {
  const start = startFingerings(writtenMidi(note), id, 'F#').at(0);
  return keys !== '' || !start ? keys : fingeringKey(start);
};

/** A high note by its keys, a lower one by its own; then the first one's keys again, and the lower note by the voicing alone. */
export const voicedNote = defineFamily({
  id: 'voicedNote',
  skill: 'voicing',
  purposes: ['voicing', 'ear'],
  headline: 'voiced',
  options: (horn) =>
    withHigh(horn, () => ({
      ...highNoteOptions(USUAL_NOTE),
      bend: halfStepsOption(USUAL_DROP, 1, 7),
      beats: beatsOption(4, 2, 8),
      from: markOption('mf'),
      tries: timesOption(3, 1, 8),
      tempoBpm: tempoOption(60),
      start: paceOption('ownTime'),
    })),
  write({ note: high, keys: chosen, bend, beats, from, tries }, horn) {
    const keys = keysOf(high, chosen, horn);
    const low = high - bend;
    const higher = (attack: NoteItem['attack']) =>
      highNote(high, keys, beats, from, attack, ['pitch', 'start', 'hold']);
    const lower = {
      ...plainNote(low, beats, from, from, 'slurred'),
      judged: ['pitch', 'hold'],
    } satisfies NoteItem;
    const held = higher('slurred');
    return {
      rest: { kind: 'asPlayed' },
      phrases: [
        {
          items: [higher('any'), lower, held, { ...lower, ...(held.keys && { keys: held.keys }) }],
          breath: 'one',
          repeats: tries,
        },
      ],
    };
  },
});
