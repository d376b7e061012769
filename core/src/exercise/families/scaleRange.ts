import type { Horn } from '../../horn/index.ts';
import { isInKey, MAJOR_KEYS, tonicOf, type MajorKey } from '../keys.ts';
import { chromatic } from './family.ts';

/** The notes of a major key from the lowest to the highest that the range has. */
export function scaleNotes(key: MajorKey, { lowest, highest }: Pick<Horn, 'lowest' | 'highest'>): number[] {
  return chromatic(lowest, highest).filter((midi) => isInKey(midi, key));
}

/**
 * A full-range scale: from the lowest tonic up to the highest note of the key, down to the lowest, back to the tonic.
 */
export function fullScale(key: MajorKey, range: Pick<Horn, 'lowest' | 'highest'>): number[] {
  const notes = scaleNotes(key, range);
  const tonic = notes.findIndex((midi) => (((midi - tonicOf(key)) % 12) + 12) % 12 === 0);
  return [...notes.slice(tonic), ...notes.slice(0, -1).toReversed(), ...notes.slice(1, tonic + 1)];
}

/** So many notes of a scale are its end. */
const END_NOTES = 4;

export interface ScaleEnd {
  end: 'top' | 'bottom';
  /** Towards the end of the horn. */
  notes: number[];
  /** The keys that end so. */
  keys: MajorKey[];
}

/** The few different ends that all major keys have on this range, those of most keys first. */
export function scaleEnds(range: Pick<Horn, 'lowest' | 'highest'>): ScaleEnd[] {
  const found = new Map<string, ScaleEnd>();
  for (const end of ['bottom', 'top'] as const)
    for (const key of MAJOR_KEYS) {
      const scale = scaleNotes(key, range);
      const notes = end === 'top' ? scale.slice(-END_NOTES) : scale.slice(0, END_NOTES).toReversed();
      const name = `${end} ${notes.join(' ')}`;
      const known = found.get(name);
      if (known) known.keys.push(key);
      else found.set(name, { end, notes, keys: [key] });
    }
  return [...found.values()].toSorted((a, b) => b.keys.length - a.keys.length);
}
