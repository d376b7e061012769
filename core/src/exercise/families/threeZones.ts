import { defineFamily, note } from './family.ts';
import {
  beatsOption,
  markOption,
  pickedNotesOption,
  pickedOf,
  startOption,
  tempoOption,
  timesOption,
} from './options.ts';

/** One easy middle note, one at the bottom, one at the top: B4, low C, high Eb. */
const USUAL = [71, 60, 87];
const usualOf = (lowest: number, highest: number) =>
  USUAL.map((midi) => Math.max(lowest, Math.min(highest, midi)));
const MOST_NOTES = 6;
const MOST_REPEATS = 40;

/** A few notes share some minutes: each again and again for as long as it stays good, until its share is over. */
export const threeZones = defineFamily({
  id: 'threeZones',
  skill: 'hold',
  purposes: ['hold'],
  headline: 'zones',
  options: ({ lowest, highest }) => ({
    notes: pickedNotesOption(lowest, highest, { count: MOST_NOTES, unpicked: usualOf(lowest, highest) }),
    minutes: { ...timesOption(5, 1, 60), unit: 'minutes' as const },
    beats: beatsOption(32, 8, 64),
    from: markOption('mf'),
    tempoBpm: tempoOption(60),
    start: startOption('playToStart'),
  }),
  write({ notes, minutes, beats, from }, { lowest, highest }) {
    const picked = pickedOf(notes, lowest, highest).slice(0, MOST_NOTES);
    const zones = picked.length > 0 ? picked : usualOf(lowest, highest);
    return {
      onFault: 'stop',
      rest: { kind: 'asPlayed' },
      phrases: zones.map((midi) => ({
        items: [{ ...note(midi, beats, from), open: true }],
        breath: 'one',
        repeats: MOST_REPEATS,
        forSeconds: (60 * minutes) / zones.length,
      })),
    };
  },
});
