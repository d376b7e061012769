import { LAST_FUNDAMENTAL, routesTo, writtenMidi } from '../../horn/index.ts';
import type { ExerciseItem } from '../exercise.ts';
import { defineFamily, note as plainNote, rest, restOf, slurred } from './family.ts';
import { highNote, highNoteOptions, withHigh } from './high.ts';
import {
  beatsOption,
  choiceOption,
  halfStepsOption,
  markOption,
  startOption,
  tempoOption,
  timesOption,
} from './options.ts';
import { rung } from './rung.ts';

/** One fingering tried again and again, each time from silence: does it speak? */
export const highTries = defineFamily({
  id: 'highTries',
  skill: 'start',
  gate: 'altissimo',
  purposes: ['start', 'voicing', 'compare'],
  headline: 'hits',
  options: (horn) =>
    withHigh(horn, () => ({
      ...highNoteOptions(),
      attack: choiceOption(['breath', 'tongued'], 'tongued'),
      beats: beatsOption(2, 1, 8),
      restBeats: beatsOption(2, 1, 8),
      from: markOption('mf'),
      tries: timesOption(6, 1, 12),
      tempoBpm: tempoOption(60),
      start: startOption('countIn'),
    })),
  write({ note, keys, attack, beats, restBeats, from, tries }) {
    const hit = highNote(note, keys, beats, from, attack);
    return {
      phrases: [
        { items: Array.from({ length: tries }, (_, i) => (i === 0 ? [hit] : [rest(restBeats), hit])).flat() },
      ],
    };
  },
});

/** Heard, imagined in silence, then played at once. */
export const highImagine = defineFamily({
  id: 'highImagine',
  skill: 'ear',
  gate: 'altissimo',
  purposes: ['ear', 'voicing'],
  headline: 'hits',
  options: (horn) =>
    withHigh(horn, () => ({
      ...highNoteOptions(),
      beats: beatsOption(4, 2, 8),
      imagineBeats: beatsOption(4, 2, 8),
      from: markOption('mf'),
      tries: timesOption(3, 1, 8),
      tempoBpm: tempoOption(60),
    })),
  write({ note, keys, beats, imagineBeats, from, tries }) {
    const writtenNote = writtenMidi(note);
    const before: ExerciseItem[] = [
      { kind: 'hear', writtenMidi: writtenNote, lengthBeats: beats },
      { kind: 'imagine', writtenMidi: writtenNote, lengthBeats: imagineBeats },
    ];
    return {
      rest: restOf(4),
      phrases: [{ items: [...before, highNote(note, keys, beats, from, 'breath')], repeats: tries }],
    };
  },
});

/** The same pitch as an overtone of a low fingering first, then by its own: the throat stays where it was. */
export const highByOvertone = defineFamily({
  id: 'highByOvertone',
  skill: 'voicing',
  gate: 'altissimo',
  purposes: ['voicing'],
  headline: 'hits',
  options: (horn) =>
    withHigh(horn, () =>
      horn.lowest > LAST_FUNDAMENTAL
        ? null
        : {
            ...highNoteOptions(),
            beats: beatsOption(4, 2, 8),
            from: markOption('mf'),
            tries: timesOption(3, 1, 8),
            tempoBpm: tempoOption(60),
          },
    ),
  write({ note, keys, beats, from, tries }, horn) {
    // The lowest partial is the surest.
    const below = routesTo(writtenMidi(note), horn)
      .filter(({ kind }) => kind === 'longTube')
      .toSorted((a, b) => a.partial - b.partial)
      .at(0);
    const own = highNote(note, keys, beats, from, below ? 'slurred' : 'any', ['pitch', 'start', 'hold']);
    return {
      rest: restOf(4),
      phrases: [
        {
          items: below ? [rung(below.tube, below.partial, beats, from, 'any'), own] : [own],
          breath: 'one',
          repeats: tries,
        },
      ],
    };
  },
});

/** Up to it by half steps, slurred, and held. */
export const highByStep = defineFamily({
  id: 'highByStep',
  skill: 'line',
  gate: 'altissimo',
  purposes: ['line', 'voicing'],
  headline: 'hits',
  options: (horn) =>
    withHigh(horn, () => ({
      ...highNoteOptions(),
      climb: halfStepsOption(3, 1, 7),
      beats: beatsOption(2, 1, 8),
      from: markOption('mf'),
      tries: timesOption(3, 1, 8),
      tempoBpm: tempoOption(60),
      start: startOption('playToStart'),
    })),
  write: ({ note, keys, climb, beats, from, tries }) => ({
    rest: restOf(4),
    phrases: [
      {
        items: [
          ...Array.from({ length: climb }, (_, i) => note - climb + i).map((midi, i) =>
            i === 0 ? plainNote(midi, beats, from) : slurred(midi, beats, from),
          ),
          highNote(note, keys, 2 * beats, from, 'slurred'),
        ],
        breath: 'one',
        repeats: tries,
      },
    ],
  }),
});
