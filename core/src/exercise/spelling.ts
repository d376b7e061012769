import type { Phrase } from './exercise.ts';
import type { MajorKey } from './keys.ts';

/** Every black key of it is a flat, every white one is as it is. */
const ALL_FLAT: MajorKey = 'Db';
/** So many half steps down in a row are a chromatic descent. */
const DESCENT_NOTES = 5;

/** By which key the notes of a phrase are spelled: its own, a chromatic descent in flats; null as a saxophone book does outside a key. */
export function spellingKey({ items, key }: Pick<Phrase, 'items' | 'key'>): MajorKey | null {
  if (key) return key;
  const midis = items.flatMap((item) => (item.kind === 'note' ? [item.writtenMidi] : []));
  const isDescent =
    midis.length >= DESCENT_NOTES && midis.every((midi, i) => i === 0 || midi === midis[i - 1] - 1);
  return isDescent ? ALL_FLAT : null;
}
