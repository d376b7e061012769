import { partialNote, writtenMidi } from '../../horn/index.ts';
import type { Judged } from '../exercise.ts';
import { defineFamily, note, rest, restOf } from './family.ts';
import { beatsOption, markOption, partialOption, paceOption, tempoOption, timesOption } from './options.ts';
import { tubeOption, withTubes, playable, rung } from './rung.ts';

const MATCHED: Judged[] = ['pitch', 'start', 'match'];

/** The note with its own fingering, then the same pitch as an overtone: how near they come in colour and pitch. */
export const overtoneMatch = defineFamily({
  id: 'overtoneMatch',
  skill: 'overtone',
  purposes: ['compare', 'voicing'],
  headline: 'match',
  options: (horn) =>
    withTubes(horn, () =>
      partialNote(horn.lowest, 2) > horn.highest
        ? null
        : {
            note: tubeOption(horn),
            partial: partialOption(3),
            beats: beatsOption(4, 2, 12),
            restBeats: beatsOption(2, 1, 8),
            from: markOption('mf'),
            tries: timesOption(3, 1, 8),
            tempoBpm: tempoOption(60),
            start: paceOption('ownTime'),
          },
    ),
  write({ note: tube, partial, beats, restBeats, from, tries }, { highest }) {
    const { low, most } = playable(tube, partial, highest);
    const sounding = partialNote(writtenMidi(low), most);
    return {
      rest: restOf(4),
      phrases: [
        {
          items: [
            { ...note(sounding, beats, from), judged: MATCHED },
            rest(restBeats),
            { ...rung(low, most, beats, from, 'any'), judged: MATCHED },
          ],
          repeats: tries,
        },
      ],
    };
  },
});

const OPENED_NOTE = 74;

/** D5 with the D6 palm key opened, then without it: the open colour under the closed fingering. */
export const openedTone = defineFamily({
  id: 'openedTone',
  skill: 'compare',
  purposes: ['compare', 'voicing'],
  headline: 'match',
  options: ({ lowest, highest }) =>
    lowest > OPENED_NOTE || highest < OPENED_NOTE
      ? null
      : {
          beats: beatsOption(4, 2, 12),
          restBeats: beatsOption(2, 1, 8),
          from: markOption('mf'),
          tries: timesOption(3, 1, 8),
          tempoBpm: tempoOption(60),
          start: paceOption('ownTime'),
        },
  write: ({ beats, restBeats, from, tries }) => ({
    rest: restOf(4),
    phrases: [
      {
        items: [
          {
            ...note(OPENED_NOTE, beats, from),
            keys: ['oct', 'L1', 'L2', 'L3', 'palmD', 'R1', 'R2', 'R3'],
            judged: MATCHED,
          },
          rest(restBeats),
          { ...note(OPENED_NOTE, beats, from), judged: MATCHED },
        ],
        repeats: tries,
      },
    ],
  }),
});
