import { writtenMidi } from '../../horn/index.ts';
import type { DynamicMark } from '../dynamics.ts';
import type { Attack, ExerciseItem, Judged, NoteItem } from '../exercise.ts';
import { chromatic, defineFamily, note, rest, restOf } from './family.ts';
import { beatsOption, noteOption, startOption, tempoOption, timesOption } from './options.ts';

/** Best from F4 down; up to A4 it fades out of effect. */
const BEST = 65;
const LIMIT = 69;

const JUDGED_SUBTONE: Judged[] = ['tone', 'pitch', 'start', 'hold'];
const JUDGED_SWING: Judged[] = [...JUDGED_SUBTONE, 'vibrato'];

/** Lines of subtones begin under this. */
export const LOWEST_OF_LINES = 64;

/** A subtone at one mark, judged by its tone, pitch, start and hold. */
export const subtone = (midi: number, beats: number, mark: DynamicMark, attack: Attack): NoteItem => ({
  ...note(midi, beats, mark, mark, attack),
  tone: 'subtone',
  judged: JUDGED_SUBTONE,
});
/** A full tone to hold a subtone against. */
export const full = (midi: number, beats: number, attack: Attack): NoteItem => ({
  ...note(midi, beats, 'mf', 'mf', attack),
  judged: ['pitch', 'hold'],
});

/** Full tone, subtone, and back on one note; then the next lower one. */
export const fullToSubtone = defineFamily({
  id: 'fullToSubtone',
  skill: 'subtone',
  purposes: ['voicing'],
  headline: 'subtone',
  home: 'subtone',
  options: ({ lowest, highest }) =>
    lowest > BEST
      ? null
      : {
          note: noteOption(lowest, Math.min(LIMIT, highest), BEST),
          to: noteOption(lowest, Math.min(LIMIT, highest), lowest),
          beats: beatsOption(4, 3, 12),
          tempoBpm: tempoOption(60),
          start: startOption('playToStart'),
        },
  write: ({ note: first, to, beats }) => ({
    rest: { kind: 'asPlayed' },
    phrases: chromatic(first, to).map((midi) => ({
      items: [full(midi, beats, 'any'), subtone(midi, beats, 'p', 'slurred'), full(midi, beats, 'slurred')],
      breath: 'one',
    })),
  }),
});

/** From the ground up: air, a subtone out of the air, the full tone, and back to air. */
export const subtoneFromAir = defineFamily({
  id: 'subtoneFromAir',
  skill: 'subtone',
  purposes: ['start', 'voicing'],
  headline: 'subtone',
  home: 'subtone',
  options: ({ lowest, highest }) =>
    lowest > BEST
      ? null
      : {
          note: noteOption(lowest, Math.min(LIMIT, highest), lowest),
          beats: beatsOption(4, 3, 12),
          airBeats: beatsOption(4, 2, 8),
          tries: timesOption(3, 1, 8),
          tempoBpm: tempoOption(60),
        },
  write({ note: low, beats, airBeats, tries }) {
    const air: ExerciseItem = { kind: 'air', writtenMidi: writtenMidi(low), lengthBeats: airBeats };
    return {
      rest: restOf(4),
      phrases: [
        {
          items: [
            air,
            subtone(low, beats, 'p', 'breath'),
            full(low, beats, 'slurred'),
            subtone(low, beats, 'p', 'slurred'),
            air,
          ],
          repeats: tries,
        },
      ],
    };
  },
});

/** Begun and begun again by air alone, after the full tone it is held against. */
export const subtoneStarts = defineFamily({
  id: 'subtoneStarts',
  skill: 'subtone',
  purposes: ['start', 'voicing'],
  headline: 'subtone',
  home: 'subtone',
  options: ({ lowest, highest }) =>
    lowest > BEST
      ? null
      : {
          note: noteOption(lowest, Math.min(LIMIT, highest), BEST),
          beats: beatsOption(3, 2, 8),
          restBeats: beatsOption(1, 1, 4),
          tries: timesOption(4, 1, 8),
          tempoBpm: tempoOption(60),
        },
  write: ({ note: midi, beats, restBeats, tries }) => ({
    phrases: [
      {
        items: [
          full(midi, beats, 'any'),
          ...Array.from({ length: tries }, () => [
            rest(restBeats),
            subtone(midi, beats, 'p', 'breath'),
          ]).flat(),
        ],
      },
    ],
  }),
});

/** A subtone, straight, then with a slow and deliberate vibrato. */
export const subtoneVibrato = defineFamily({
  id: 'subtoneVibrato',
  skill: 'subtone',
  purposes: ['voicing', 'hold'],
  headline: 'vibrato',
  home: 'subtone',
  options: ({ lowest, highest }) =>
    lowest > BEST
      ? null
      : {
          note: noteOption(lowest, Math.min(LIMIT, highest), BEST),
          beats: beatsOption(4, 3, 8),
          tempoBpm: tempoOption(60),
          start: startOption('playToStart'),
        },
  write: ({ note: midi, beats }) => ({
    rest: { kind: 'asPlayed' },
    phrases: [
      {
        items: [
          full(midi, beats, 'any'),
          { ...subtone(midi, beats, 'p', 'slurred'), vibrato: 'off', judged: JUDGED_SWING },
          { ...subtone(midi, beats, 'p', 'slurred'), vibrato: 'slow', judged: JUDGED_SWING },
        ],
        breath: 'one',
        repeats: 2,
      },
    ],
  }),
});
