import { HIGHEST_NOTE } from '../../horn/index.ts';
import type { ExerciseItem } from '../exercise.ts';
import { defineFamily, restOf } from './family.ts';
import { beatsOption, markOption, partialOption, tempoOption, timesOption } from './options.ts';
import { tuningOption, tubeOption, withTubes, within, rung } from './rung.ts';

/** A rung heard, hummed, then played. */
export const overtoneEar = defineFamily({
  id: 'overtoneEar',
  skill: 'overtone',
  purposes: ['ear', 'voicing'],
  headline: 'hits',
  options: (horn) =>
    withTubes(horn, () => ({
      note: tubeOption(horn),
      partial: partialOption(3),
      beats: beatsOption(4, 2, 8),
      from: markOption('mf'),
      tries: timesOption(3, 1, 8),
      overtones: tuningOption,
      tempoBpm: tempoOption(60),
    })),
  write({ note: tube, partial, beats, from, tries, overtones }) {
    const played = rung(tube, within(tube, partial, HIGHEST_NOTE), beats, from, 'breath');
    const { writtenMidi: sounding } = played;
    const before: ExerciseItem[] = [
      { kind: 'hear', writtenMidi: sounding, lengthBeats: beats },
      { kind: 'hum', writtenMidi: sounding, lengthBeats: beats },
    ];
    return { overtones, rest: restOf(4), phrases: [{ items: [...before, played], repeats: tries }] };
  },
});
