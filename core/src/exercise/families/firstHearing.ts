import { writtenMidi } from '../../horn/index.ts';
import { shapedDynamics } from '../shapedDynamics.ts';
import { defineFamily, note } from './family.ts';
import { beatsOption, markOption, startOption, tempoOption } from './options.ts';

/** The easiest note of every horn. */
const B4 = 71;
/** Where low and high notes begin to be asked for, and how the way up goes on. */
const LOW_C = 60;
const UPWARD = [74, 81, 84, 86, 88, 89];
/** The octave and the twelfth over the lowest note but one that all horns have. */
const LOW_B_FLAT = 58;
const OVERTONES = [12, 19];

/** What a teacher asks of somebody new: an easy note, how softly and loudly it speaks, low C and lower, up to the palm keys, two overtones. */
export const firstHearing = defineFamily({
  id: 'firstHearing',
  skill: 'compare',
  purposes: ['hold'],
  headline: 'hearing',
  home: 'hearing',
  options: ({ lowest, highest }) =>
    lowest > B4 || highest < B4
      ? null
      : {
          beats: beatsOption(4, 2, 8),
          from: markOption('mf'),
          tempoBpm: tempoOption(60),
          start: startOption('playToStart'),
        },
  write({ beats, from }, { lowest, highest }) {
    const down = Array.from({ length: Math.max(0, LOW_C - lowest + 1) }, (_, i) => LOW_C - i);
    const up = UPWARD.filter((midi) => midi <= highest);
    const overtones = lowest <= LOW_B_FLAT ? OVERTONES.filter((step) => LOW_B_FLAT + step <= highest) : [];
    return {
      rest: { kind: 'asPlayed' },
      phrases: [
        note(B4, 2 * beats, from),
        {
          ...note(B4, 3 * beats, 'pp', 'pp', 'breath'),
          dynamics: shapedDynamics({ shape: 'growFade', beats: 3 * beats, soft: 'pp', loud: 'ff' }),
        },
        ...[...down, ...up].map((midi) => note(midi, beats, from)),
        ...overtones.map((step) => ({
          ...note(LOW_B_FLAT + step, beats, from),
          fingered: writtenMidi(LOW_B_FLAT),
        })),
      ].map((item) => ({ items: [item], breath: 'one' as const })),
    };
  },
});
