import { partialNote, writtenMidi } from '../../horn/index.ts';
import { defineFamily, note, restOf } from './family.ts';
import { beatsOption, markOption, paceOption, partialOption, tempoOption, timesOption } from './options.ts';
import { playable, rung, tubeOption, tuningOption, withPlayable } from './rung.ts';

/** The note by its own fingering, sung, then as an overtone of the low one: the ear leads. */
export const ownFirst = defineFamily({
  id: 'ownFirst',
  skill: 'overtone',
  purposes: ['ear', 'voicing'],
  headline: 'hits',
  options: (horn) =>
    withPlayable(horn, () => ({
      note: tubeOption(horn),
      partial: partialOption(3),
      beats: beatsOption(4, 2, 8),
      from: markOption('mf'),
      tries: timesOption(3, 1, 8),
      overtones: tuningOption,
      tempoBpm: tempoOption(60),
      start: paceOption('ownTime'),
    })),
  write({ note: tube, partial, beats, from, tries, overtones }, { highest }) {
    const { low, most } = playable(tube, partial, highest);
    const sounding = partialNote(writtenMidi(low), most);
    return {
      overtones,
      rest: restOf(4),
      phrases: [
        {
          items: [
            note(sounding, beats, from),
            { kind: 'hum', writtenMidi: sounding, lengthBeats: beats },
            rung(low, most, beats, from, 'breath'),
          ],
          repeats: tries,
        },
      ],
    };
  },
});
