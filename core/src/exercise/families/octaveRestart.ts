import { writtenMidi } from '../../horn/index.ts';
import { chromatic, defineFamily, note, rest, restOf, slurred } from './family.ts';
import { choiceOption, noteOption, paceOption, tempoOption, timesOption } from './options.ts';

/** From here down the upper note is usually taken as an overtone of the lower, so that no finger moves. */
const OVERTONE_FROM = 61;

/** Round after round on one note, for as long as the player wants. */
const UNTIL_GONE_ON = { repeats: 40, forSeconds: 3600 };

/** Slur down an octave, then start the low note again in time, by the breath alone; a half step lower each time. */
export const octaveRestart = defineFamily({
  id: 'octaveRestart',
  skill: 'start',
  purposes: ['start', 'voicing'],
  headline: 'restarts',
  options: ({ lowest, highest }) => ({
    note: noteOption(lowest, highest - 12, 67),
    to: noteOption(lowest, highest - 12, lowest),
    route: choiceOption(['overtone', 'own'], 'overtone'),
    form: choiceOption(['next', 'stay'], 'next'),
    tries: timesOption(3, 1, 6),
    tempoBpm: tempoOption(60),
    start: paceOption('countIn'),
  }),
  write: ({ note: from, to, route, form, tries }) => ({
    rest: restOf(4),
    phrases: chromatic(from, to).map((low) => {
      const upper = note(low + 12, 4, 'mf');
      const restarts = Array.from({ length: tries }, () => [rest(2), note(low, 2, 'mf', 'mf', 'breath')]);
      const overtone =
        route === 'overtone' && low <= OVERTONE_FROM ? { ...upper, fingered: writtenMidi(low) } : upper;
      return {
        items: [overtone, slurred(low, 4, 'mf'), ...restarts.flat()],
        ...(form === 'stay' && UNTIL_GONE_ON),
      };
    }),
  }),
});
