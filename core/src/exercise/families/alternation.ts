import { partialNote, writtenMidi } from '../../horn/index.ts';
import { defineFamily, note } from './family.ts';
import { markOption, partialOption, startOption, tempoOption, timesOption } from './options.ts';
import { playable, rung, tubeOption, tuningOption, withPlayable } from './rung.ts';

const EIGHTH = 0.5;

/** One note by its own fingers and as an overtone, changed every eighth: an effect of colour, with an even beat. */
export const alternation = defineFamily({
  id: 'alternation',
  skill: 'overtone',
  purposes: ['voicing', 'line'],
  headline: 'alternation',
  options: (horn) =>
    withPlayable(horn, () => ({
      note: tubeOption(horn),
      partial: partialOption(2),
      changes: timesOption(8, 2, 16),
      from: markOption('mf'),
      tries: timesOption(2, 1, 8),
      overtones: tuningOption,
      tempoBpm: tempoOption(60, 40, 120),
      start: startOption('playToStart'),
    })),
  write({ note: tube, partial, changes, from, tries, overtones }, { highest }) {
    const { low, most } = playable(tube, partial, highest);
    const sounding = partialNote(writtenMidi(low), most);
    const own = note(sounding, EIGHTH, from, from, 'slurred');
    const overtone = rung(low, most, EIGHTH, from, 'slurred');
    const pairs = Array.from({ length: changes }, () => [own, overtone]).flat();
    return {
      overtones,
      rest: { kind: 'asPlayed' },
      phrases: [
        {
          // By its own fingers it begins and ends.
          items: [
            note(sounding, EIGHTH, from),
            ...pairs.slice(1),
            note(sounding, 1, from, from, 'slurred'),
          ].map((item) => ({ ...item, judged: ['pitch', 'beat'] })),
          breath: 'one',
          repeats: tries,
        },
      ],
    };
  },
});
