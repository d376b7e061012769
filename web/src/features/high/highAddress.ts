import { fingeringKey, isHighNote, readFingeringKey } from '@inner-hum/core/horn';
import type { ChartedFingering, ChartedNote } from '@inner-hum/core/plan';

/** Which fingering of which note is looked at. */
export interface HighLook {
  note: ChartedNote;
  /** As one word. */
  word: string;
  /** Null where it is not on the chart. */
  charted: ChartedFingering | null;
}

const FIRST_LOOK = 91;

/** What the address asks for, else the first fingering of the note, else of G6. */
export function readHighLook(search: URLSearchParams, notes: readonly ChartedNote[]): HighLook {
  const asked = Number(search.get('note'));
  const midi = isHighNote(asked) ? asked : FIRST_LOOK;
  const note = notes.find(({ writtenMidi }) => writtenMidi === midi) ?? notes[0];
  const keys = search.get('keys');
  const word = keys === null ? (note.fingerings.at(0)?.word ?? '') : fingeringKey(readFingeringKey(keys));
  return { note, word, charted: note.fingerings.find((each) => each.word === word) ?? null };
}

export const highSearch = (note: number, word: string) =>
  new URLSearchParams({ note: String(note), keys: word }).toString();
