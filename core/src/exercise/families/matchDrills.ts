import {
  HIGHEST_PARTIAL,
  partialNote,
  routesTo,
  writtenMidi,
  type Horn,
  type KeyId,
  type WrittenMidi,
} from '../../horn/index.ts';
import type { Judged, NoteItem } from '../exercise.ts';
import { defineFamily, note, rest, restOf } from './family.ts';
import {
  beatsOption,
  choiceOption,
  markOption,
  partialOption,
  paceOption,
  tempoOption,
  timesOption,
} from './options.ts';
import { playable, rung, tubeOption, upTo, within, withPlayable } from './rung.ts';

const MATCHED: Judged[] = ['pitch', 'start', 'match'];

/** What is held against each other: one partial, each partial up to it in turn, or three ways to one note: its own, a low tube, a short one. */
const waysOption = choiceOption(['pair', 'partials', 'three'], 'pair');

/** The fingering of the second octave whose overblown fifth is this note; null where there is none. */
const shortTube = (sounding: WrittenMidi, horn: Pick<Horn, 'lowest' | 'highest'>) =>
  routesTo(sounding, horn).find(({ kind }) => kind === 'shortTube')?.fingered ?? null;

/** The note with its own fingering, then the same pitch as an overtone: how near they come in colour and pitch. */
export const overtoneMatch = defineFamily({
  id: 'overtoneMatch',
  skill: 'overtone',
  purposes: ['compare', 'voicing'],
  headline: 'match',
  options: (horn) =>
    withPlayable(horn, () => ({
      note: tubeOption(horn),
      partial: partialOption(3),
      ways: waysOption,
      beats: beatsOption(4, 2, 12),
      restBeats: beatsOption(2, 1, 8),
      from: markOption('mf'),
      tries: timesOption(3, 1, 8),
      tempoBpm: tempoOption(60),
      start: paceOption('ownTime'),
    })),
  write({ note: tube, partial, ways, beats, restBeats, from, tries }, horn) {
    const { low, most } = playable(tube, partial, horn.highest);
    const matched = (item: NoteItem): NoteItem => ({ ...item, judged: MATCHED });
    const phraseOf = (each: number, withShort: boolean) => {
      const sounding = partialNote(writtenMidi(low), each);
      const short = withShort ? shortTube(sounding, horn) : null;
      const sounds = [
        note(sounding, beats, from),
        rung(low, each, beats, from, 'any'),
        ...(short === null ? [] : [{ ...note(sounding, beats, from), fingered: short }]),
      ];
      return {
        items: sounds.flatMap((sound, i) => (i === 0 ? [matched(sound)] : [rest(restBeats), matched(sound)])),
        repeats: tries,
      };
    };
    // From A5 up a short tube leads there too: the first such partial from the one that was asked for.
    const upward = upTo(within(low, HIGHEST_PARTIAL, horn.highest)).slice(most - 1);
    const threefold = upward.find((each) => shortTube(partialNote(writtenMidi(low), each), horn) !== null);
    return {
      rest: restOf(4),
      phrases:
        ways === 'partials'
          ? upTo(most)
              .slice(1)
              .map((each) => phraseOf(each, false))
          : [phraseOf(ways === 'three' ? (threefold ?? most) : most, ways === 'three')],
    };
  },
});

const OPENED_NOTE = 74;
/** D5 with the palm key of D open: freer, and nearer to the notes under the break. */
export const OPEN_D_KEYS: readonly KeyId[] = ['oct', 'L1', 'L2', 'L3', 'palmD', 'R1', 'R2', 'R3'];

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
            keys: [...OPEN_D_KEYS],
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
