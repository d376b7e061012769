import { HIGHEST_NOTE } from '../../horn/index.ts';
import { defineFamily, thereAndBack } from './family.ts';
import { beatsOption, markOption, partialOption, paceOption, tempoOption, timesOption } from './options.ts';
import { inRounds, roundsOption } from './rounds.ts';
import { tuningOption, tubeOption, withTubes, within, rung, upTo } from './rung.ts';

/** From the fundamental up to a partial and down again, slurred, no finger moving. */
export const overtoneClimb = defineFamily({
  id: 'overtoneClimb',
  skill: 'overtone',
  purposes: ['voicing'],
  headline: 'slurs',
  options: (horn) =>
    withTubes(horn, () => ({
      note: tubeOption(horn),
      partial: partialOption(4),
      beats: beatsOption(2, 1, 8),
      from: markOption('mf'),
      rounds: roundsOption,
      tries: timesOption(2, 1, 8),
      overtones: tuningOption,
      tempoBpm: tempoOption(60),
      start: paceOption('ownTime'),
    })),
  write({ note: tube, partial, beats, from, rounds, tries, overtones, start }) {
    const up = upTo(within(tube, partial, HIGHEST_NOTE));
    const path = thereAndBack(up);
    return {
      overtones,
      rest: { kind: 'asPlayed' },
      phrases: [
        {
          ...inRounds(
            path.map((each, i) => rung(tube, each, beats, from, i === 0 ? 'any' : 'slurred')),
            rounds,
            start,
          ),
          breath: 'one',
          repeats: tries,
        },
      ],
    };
  },
});
