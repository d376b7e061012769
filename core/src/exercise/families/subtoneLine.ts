import { chromatic, defineFamily, rest, restOf, thereAndBack } from './family.ts';
import { beatsOption, choiceOption, startOption, tempoOption } from './options.ts';
import { full, LOWEST_OF_LINES, subtone } from './subtones.ts';

/** E4 to A4 and back, where it fades out of effect; or F4 down to the bottom, where it is best. */
const [TURN_LOW, TURN_HIGH, DOWN_FROM] = [64, 69, 65];
/** So many starts a note, by air alone. */
const PULSES = 4;
const REST_BEATS = 4;

/** One line full, then as subtone, then with every note begun by air alone, again and again: how far does it stay subtone? */
export const subtoneLine = defineFamily({
  id: 'subtoneLine',
  skill: 'subtone',
  purposes: ['voicing', 'line'],
  headline: 'subtoneLine',
  home: 'subtone',
  options: ({ lowest, highest }) =>
    lowest > LOWEST_OF_LINES || highest < TURN_HIGH
      ? null
      : {
          path: choiceOption(['upAndBack', 'down'], 'upAndBack'),
          beats: beatsOption(2, 1, 4),
          tempoBpm: tempoOption(60),
          start: startOption('playToStart'),
        },
  write({ path, beats }, { lowest }) {
    const line =
      path === 'down' ? chromatic(DOWN_FROM, lowest) : thereAndBack(chromatic(TURN_LOW, TURN_HIGH));
    return {
      rest: restOf(REST_BEATS),
      phrases: [
        {
          // In one take: each subtone is held against the full tone of its note.
          items: [
            ...line.map((midi, i) => full(midi, beats, i === 0 ? 'any' : 'slurred')),
            rest(REST_BEATS),
            ...line.map((midi, i) => subtone(midi, beats, 'p', i === 0 ? 'breath' : 'slurred')),
          ],
        },
        {
          items: line.flatMap((midi) =>
            Array.from({ length: PULSES }, () => subtone(midi, Math.max(1, beats / 2), 'p', 'breath')),
          ),
        },
      ],
    };
  },
});
