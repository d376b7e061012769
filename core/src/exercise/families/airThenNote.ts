import { writtenMidi } from '../../horn/index.ts';
import { defineFamily, note, restOf } from './family.ts';
import { beatsOption, choiceOption, noteOption, startOption, tempoOption, timesOption } from './options.ts';

/** Three fingerings, as Bb3, D4 and G4 lie; or one of them, usually D4. */
const STEPS = [0, 4, 9];
const USUAL_STEPS = 4;

/** Air alone, more air until the note grabs by itself, less until only air is left. No tongue. */
export const airThenNote = defineFamily({
  id: 'airThenNote',
  skill: 'start',
  purposes: ['start'],
  headline: 'caught',
  options: ({ lowest, highest }) => ({
    form: choiceOption(['oneNote', 'threeNotes'], 'oneNote'),
    note: noteOption(lowest, Math.min(lowest + 12, highest - 9), lowest + USUAL_STEPS),
    tries: timesOption(5, 1, 10),
    airBeats: beatsOption(4, 2, 8),
    beats: beatsOption(8, 4, 16),
    tempoBpm: tempoOption(60),
    start: startOption('playToStart'),
  }),
  write: ({ form, note: base, tries, airBeats, beats }) => ({
    rest: restOf(4),
    phrases: (form === 'threeNotes' ? STEPS : [0]).map((step) => {
      const midi = writtenMidi(base + step);
      const air = { kind: 'air' as const, writtenMidi: midi, lengthBeats: airBeats };
      const grows = {
        ...note(midi, beats, 'pp', 'pp', 'breath'),
        dynamics: [
          { beat: 0, mark: 'pp' as const },
          { beat: beats / 2, mark: 'mp' as const },
          { beat: beats, mark: 'pp' as const },
        ],
      };
      return {
        items: [air, grows, air],
        breath: 'one',
        repeats: form === 'threeNotes' ? 1 : tries,
      };
    }),
  }),
});
