import { HIGHEST_NOTE } from '../../horn/index.ts';
import { defineFamily } from './family.ts';
import { beatsOption, markOption, partialOption, startOption, tempoOption, timesOption } from './options.ts';
import { rung, tubeOption, tuningOption, upTo, within, withTubes } from './rung.ts';

/** Rung by rung up one tube, each held so many times for as long as it stays good; then slurred down through all of them. */
export const ladderHolds = defineFamily({
  id: 'ladderHolds',
  skill: 'overtone',
  purposes: ['hold', 'voicing'],
  headline: 'ladderHolds',
  options: (horn) =>
    withTubes(horn, () => ({
      note: tubeOption(horn),
      partial: { ...partialOption(3), most: 6 },
      beats: beatsOption(8, 4, 16),
      from: markOption('mf'),
      tries: timesOption(3, 1, 6),
      overtones: tuningOption,
      tempoBpm: tempoOption(60),
      start: startOption('playToStart'),
    })),
  write({ note: tube, partial, beats, from, tries, overtones }) {
    const up = upTo(within(tube, partial, HIGHEST_NOTE));
    return {
      overtones,
      rest: { kind: 'asPlayed' },
      phrases: [
        ...up.map((each) => ({
          items: [{ ...rung(tube, each, beats, from, 'any'), open: true }],
          breath: 'one' as const,
          repeats: tries,
        })),
        {
          items: up
            .toReversed()
            .map((each, i) => rung(tube, each, beats / 2, from, i === 0 ? 'any' : 'slurred')),
          breath: 'one',
        },
      ],
    };
  },
});
