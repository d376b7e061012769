import type { DynamicMark } from '../dynamics.ts';
import { chromatic, defineFamily, note, rest, restOf } from './family.ts';
import { beatsOption, choiceOption, markOption, noteOption, tempoOption } from './options.ts';

/** So many notes are one phrase. */
const IN_A_PHRASE = 4;

/** A note longer than this is a matter of breath. */
const LONGEST_BEATS = 24;

/** One note, a beat longer each time, with as much rest as tone; who breaks off stays where it broke. */
const growing = (midi: number, beats: number, mark: DynamicMark) => ({
  onFault: 'stop' as const,
  rest: { kind: 'asPlayed' as const },
  phrases: Array.from({ length: Math.max(1, LONGEST_BEATS - beats + 1) }, (_, i) => ({
    items: [note(midi, beats + i, mark, mark, 'breath')],
    breath: 'one' as const,
  })),
});

/** So many beats on, so many off, note after note in strict time: a clean beginning and a clean end of each. */
export const beatsOnOff = defineFamily({
  id: 'beatsOnOff',
  skill: 'start',
  purposes: ['start', 'hold'],
  headline: 'beats',
  options: ({ lowest, highest }) => ({
    form: choiceOption(['same', 'growing'], 'same'),
    note: noteOption(lowest, highest, 67),
    to: noteOption(lowest, highest, 60),
    beats: beatsOption(4, 2, 16),
    restBeats: beatsOption(4, 1, 16),
    from: markOption('mf'),
    tempoBpm: tempoOption(60),
  }),
  write({ form, note: first, to, beats, restBeats, from }) {
    if (form === 'growing') return growing(first, beats, from);
    const notes = chromatic(first, to);
    const groups = Array.from({ length: Math.ceil(notes.length / IN_A_PHRASE) }, (_, i) =>
      notes.slice(i * IN_A_PHRASE, (i + 1) * IN_A_PHRASE),
    );
    return {
      rest: restOf(restBeats),
      phrases: groups.map((group) => ({
        items: group.flatMap((midi, i) => [
          ...(i > 0 ? [rest(restBeats)] : []),
          note(midi, beats, from, from, 'breath'),
        ]),
      })),
    };
  },
});
