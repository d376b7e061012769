import { partialNote, writtenMidi } from '../../horn/index.ts';
import { defineFamily, note, restOf } from './family.ts';
import {
  beatsOption,
  choiceOption,
  markOption,
  partialOption,
  paceOption,
  tempoOption,
  timesOption,
} from './options.ts';
import { inRounds, roundsOption } from './rounds.ts';
import { tuningOption, tubeOption, withPlayable, rung, playable } from './rung.ts';

/** The note with its own fingering, after a count the low one, the sound kept; and back. */
export const overtoneSwitch = defineFamily({
  id: 'overtoneSwitch',
  skill: 'overtone',
  purposes: ['voicing'],
  headline: 'slurs',
  options: (horn) =>
    withPlayable(horn, () => ({
      note: tubeOption(horn),
      partial: partialOption(2),
      beats: beatsOption(2, 1, 8),
      from: markOption('mf'),
      attack: choiceOption(['slurred', 'tongued'], 'slurred'),
      rounds: roundsOption,
      tries: timesOption(3, 1, 8),
      overtones: tuningOption,
      tempoBpm: tempoOption(60),
      start: paceOption('ownTime'),
    })),
  write({ note: tube, partial, beats, from, attack, rounds, tries, overtones, start }, { highest }) {
    const { low, most } = playable(tube, partial, highest);
    const sounding = partialNote(writtenMidi(low), most);
    return {
      overtones,
      rest: restOf(4),
      phrases: [
        {
          ...inRounds(
            [
              note(sounding, beats, from),
              rung(low, most, beats, from, attack),
              note(sounding, beats, from, from, attack),
            ],
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
