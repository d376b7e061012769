import { partialNote, writtenMidi } from '../../horn/index.ts';
import { chromatic, defineFamily, note, restOf, slurred } from './family.ts';
import { beatsOption, markOption, paceOption, partialOption, tempoOption, timesOption } from './options.ts';
import { inRounds, roundsOption } from './rounds.ts';
import { playable, rung, tubeOption, tuningOption, withPlayable } from './rung.ts';

/** The farthest overtone of a loop: the double octave. */
const MOST_PARTIAL = 4;

/** One note by its own fingers and as an overtone, the fundamental between: round and round in one breath, then the next tube. */
export const tubeLoop = defineFamily({
  id: 'tubeLoop',
  skill: 'overtone',
  purposes: ['voicing', 'line'],
  headline: 'slurs',
  options: (horn) =>
    withPlayable(horn, () => ({
      note: tubeOption(horn),
      to: tubeOption(horn, horn.lowest + 1),
      partial: { ...partialOption(2), most: MOST_PARTIAL },
      beats: beatsOption(2, 1, 8),
      from: markOption('mf'),
      rounds: roundsOption,
      tries: timesOption(1, 1, 8),
      overtones: tuningOption,
      tempoBpm: tempoOption(72),
      start: paceOption('ownTime'),
    })),
  write({ note: first, to, partial, beats, from, rounds, tries, overtones, start }, { highest }) {
    return {
      overtones,
      rest: restOf(4),
      phrases: chromatic(first, to).map((tube) => {
        const { low, most } = playable(tube, partial, highest);
        const sounding = partialNote(writtenMidi(low), most);
        const overtone = rung(low, most, beats, from, 'slurred');
        return {
          ...inRounds(
            [
              note(sounding, beats, from),
              overtone,
              rung(low, 1, beats, from, 'slurred'),
              slurred(sounding, beats, from),
              overtone,
            ],
            rounds,
            start,
          ),
          breath: 'one' as const,
          repeats: tries,
        };
      }),
    };
  },
});
