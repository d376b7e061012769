import { HIGHEST_NOTE, LAST_FUNDAMENTAL } from '../../horn/index.ts';
import { chromatic, defineFamily, restOf } from './family.ts';
import { beatsOption, markOption, partialOption, paceOption, tempoOption, timesOption } from './options.ts';
import { inRounds, roundsOption } from './rounds.ts';
import { tuningOption, tubeOption, withTubes, within, rung, upTo } from './rung.ts';

/** From an overtone down the series in one breath; then the next fundamental, a half step lower. */
export const overtoneCascade = defineFamily({
  id: 'overtoneCascade',
  skill: 'overtone',
  purposes: ['voicing', 'line'],
  headline: 'slurs',
  options: (horn) =>
    withTubes(horn, () => ({
      note: tubeOption(horn, LAST_FUNDAMENTAL),
      to: tubeOption(horn),
      partial: partialOption(2),
      beats: beatsOption(2, 1, 8),
      from: markOption('mf'),
      rounds: roundsOption,
      tries: timesOption(2, 1, 4),
      overtones: tuningOption,
      tempoBpm: tempoOption(72),
      start: paceOption('ownTime'),
    })),
  write: ({ note: first, to, partial, beats, from, rounds, tries, overtones, start }) => ({
    overtones,
    rest: restOf(4),
    phrases: chromatic(first, to).map((tube) => ({
      ...inRounds(
        upTo(within(tube, partial, HIGHEST_NOTE))
          .toReversed()
          .map((each, i) => rung(tube, each, beats, from, i === 0 ? 'any' : 'slurred')),
        rounds,
        start,
      ),
      breath: 'one',
      repeats: tries,
    })),
  }),
});
