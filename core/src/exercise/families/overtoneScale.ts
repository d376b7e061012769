import { bestLine, routeChance, ROUTE_MODES } from '../../horn/index.ts';
import { isInKey, MAJOR_KEYS } from '../keys.ts';
import { chromatic, defineFamily, note, restOf, slurred, thereAndBack } from './family.ts';
import { beatsOption, choiceOption, markOption, paceOption, tempoOption } from './options.ts';
import { tuningOption } from './rung.ts';

/** Where overtones begin to have routes worth taking, and where an overblown fifth begins. */
const SCALE_FROM = 70;
const FIFTH_FROM = 81;
const SCALE_TO = 90;

/** A scale of a key through routes, up and down: the likeliest ones to speak, as is usual of them. */
export const overtoneScale = defineFamily({
  id: 'overtoneScale',
  skill: 'overtone',
  purposes: ['line', 'voicing'],
  headline: 'line',
  options: ({ lowest, highest }) =>
    lowest > 62 || highest < SCALE_TO - 1
      ? null
      : {
          key: choiceOption(MAJOR_KEYS, 'Bb'),
          route: choiceOption(ROUTE_MODES, 'overtones'),
          beats: beatsOption(2, 1, 8),
          from: markOption('mf'),
          attack: choiceOption(['slurred', 'tongued'], 'tongued'),
          overtones: tuningOption,
          tempoBpm: tempoOption(60),
          start: paceOption('countIn'),
        },
  write({ key, route: mode, beats, from, attack, overtones }, horn) {
    const first = mode === 'fifth' ? FIFTH_FROM : SCALE_FROM;
    const up = chromatic(first, Math.min(SCALE_TO, horn.highest)).filter((midi) => isInKey(midi, key));
    const scale = thereAndBack(up);
    const line = bestLine({ notes: scale, horn, mode, chanceOf: (route) => routeChance(route, null) });
    const steps = line?.notes ?? [];
    return {
      overtones,
      rest: restOf(8),
      phrases: [
        {
          items: steps.map(({ note: midi, route: { kind, fingered } }, i) => ({
            ...(i > 0 && attack === 'slurred'
              ? slurred(midi, beats, from)
              : note(midi, beats, from, from, i === 0 ? 'any' : attack)),
            fingered: kind === 'regular' ? null : fingered,
          })),
          key,
        },
      ],
    };
  },
});
