import { HIGHEST_NOTE } from '../../horn/index.ts';
import { defineFamily, rest, restOf } from './family.ts';
import {
  beatsOption,
  choiceOption,
  markOption,
  partialOption,
  paceOption,
  tempoOption,
  timesOption,
} from './options.ts';
import { tuningOption, tubeOption, withTubes, within, rung } from './rung.ts';

const accentOption = choiceOption(['breath', 'tongued'], 'breath');

/** Straight to an overtone, without its fundamental before it. */
export const overtoneHits = defineFamily({
  id: 'overtoneHits',
  skill: 'overtone',
  purposes: ['start', 'voicing'],
  headline: 'hits',
  options: (horn) =>
    withTubes(horn, () => ({
      note: tubeOption(horn),
      partial: partialOption(3),
      attack: accentOption,
      beats: beatsOption(2, 1, 8),
      restBeats: beatsOption(2, 1, 8),
      from: markOption('mf'),
      tries: timesOption(4, 1, 12),
      overtones: tuningOption,
      tempoBpm: tempoOption(60),
      start: paceOption('ownTime'),
    })),
  write({ note: tube, partial, attack, beats, restBeats, from, tries, overtones }) {
    const hit = rung(tube, within(tube, partial, HIGHEST_NOTE), beats, from, attack);
    return {
      overtones,
      rest: restOf(8),
      phrases: [
        { items: Array.from({ length: tries }, (_, i) => (i === 0 ? [hit] : [rest(restBeats), hit])).flat() },
      ],
    };
  },
});
