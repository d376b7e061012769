import { parseExercise, type Exercise, type NoteItem } from '../exercise/index.ts';

/** A note in written pitch, its length in beats, and how it begins; where nothing is said, as the player likes. */
export interface LevelNote {
  writtenMidi: number;
  lengthBeats: number;
  attack?: NoteItem['attack'];
}

/** Notes in one breath, each at one mark from its begin to its end, a beat a second, begun by the first. */
export const levelNotes = (mark: string, notes: readonly LevelNote[]): Exercise =>
  parseExercise({
    version: 3,
    tempoBpm: 60,
    beatsPerBar: 4,
    start: 'playToStart',
    phrases: [
      {
        breath: 'one',
        items: notes.map((note) => ({
          kind: 'note',
          ...note,
          dynamics: [
            { beat: 0, mark },
            { beat: note.lengthBeats, mark },
          ],
        })),
      },
    ],
  });
