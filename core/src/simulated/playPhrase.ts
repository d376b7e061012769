import { playNote } from './playNote.ts';
import type { SimulatedNote } from './simulatedNote.ts';

/** Plays notes one after the other, each with its own lead and tail, as one sound without truth (free playing). */
export function playPhrase(notes: readonly SimulatedNote[]): Float32Array<ArrayBuffer> {
  const parts = notes.map((note) => playNote(note).samples);
  const phrase = new Float32Array(parts.reduce((sum, part) => sum + part.length, 0));
  let offset = 0;
  for (const part of parts) {
    phrase.set(part, offset);
    offset += part.length;
  }
  return phrase;
}
