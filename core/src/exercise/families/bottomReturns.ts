import { defineFamily, note, restOf, slurred } from './family.ts';
import {
  beatsOption,
  choiceOption,
  halfStepsOption,
  markOption,
  noteOption,
  paceOption,
  tempoOption,
} from './options.ts';

/** By which steps of the octave it is climbed: all, those of the major scale on the bottom note, or of its chord. */
const STEPS_OF: Record<'chromatic' | 'scale' | 'arpeggio', readonly number[]> = {
  chromatic: [0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11],
  scale: [0, 2, 4, 5, 7, 9, 11],
  arpeggio: [0, 4, 7],
};

/** Hold the bottom note full, climb note by note, slur back to it each time: the same feeling everywhere. */
export const returnToBottom = defineFamily({
  id: 'returnToBottom',
  skill: 'voicing',
  purposes: ['voicing', 'line'],
  headline: 'slurs',
  options: ({ lowest, highest }) => ({
    note: noteOption(lowest, Math.min(lowest + 7, highest - 1), lowest),
    path: choiceOption(['chromatic', 'scale', 'arpeggio'], 'chromatic'),
    climb: halfStepsOption(12, 1, 36),
    beats: beatsOption(4, 2, 12),
    from: markOption('f'),
    tempoBpm: tempoOption(60),
    start: paceOption('ownTime'),
  }),
  write: ({ note: bottom, path, climb, beats, from }, { highest }) => ({
    rest: { kind: 'asPlayed' },
    phrases: Array.from({ length: Math.min(climb, highest - bottom) }, (_, i) => i + 1)
      .filter((step) => STEPS_OF[path].includes(step % 12))
      .map((step) => ({
        items: [note(bottom, beats, from), slurred(bottom + step, beats, from), slurred(bottom, beats, from)],
        breath: 'one' as const,
      })),
  }),
});

/** Half steps over the bottom from which it is dropped: as D4, G4, Bb4, D5, G5, C6 lie over Bb3. */
const FROM_STEPS = [4, 9, 12, 16, 21, 26];

/** From the middle of anything, drop all fingers: does the bottom note speak without a change? */
export const dropToBottom = defineFamily({
  id: 'dropToBottom',
  skill: 'start',
  purposes: ['start', 'voicing'],
  headline: 'slurs',
  options: ({ lowest, highest }) => ({
    note: noteOption(lowest, Math.min(lowest + 7, highest - FROM_STEPS[1]), lowest),
    beats: beatsOption(4, 2, 12),
    from: markOption('mf'),
    tempoBpm: tempoOption(60),
    start: paceOption('ownTime'),
  }),
  write: ({ note: bottom, beats, from }, { highest }) => ({
    rest: restOf(4),
    phrases: FROM_STEPS.filter((step) => bottom + step <= highest).map((step) => ({
      items: [note(bottom + step, beats, from), slurred(bottom, beats, from)],
      breath: 'one',
    })),
  }),
});
