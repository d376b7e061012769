import { writtenMidi, type Horn, type WrittenMidi } from '@inner-hum/core/horn';
import type { SubtoneTry } from '@inner-hum/core/plan';

/** Up to F4 a subtone is at its best; up to A4 it fades out of effect. */
const BEST = 65;
const LIMIT = 69;

/** One note of the bench and the subtones asked for on it, oldest first. */
export interface BenchNote {
  writtenMidi: WrittenMidi;
  isBest: boolean;
  tries: SubtoneTry[];
  became: number;
}

/** From A4 down to the lowest note of the horn, F4 where the horn begins over that. */
export function benchNotes({ lowest }: Pick<Horn, 'lowest'>, tries: readonly SubtoneTry[]): BenchNote[] {
  const last = Math.min(lowest, BEST);
  return Array.from({ length: LIMIT - last + 1 }, (_, i) => writtenMidi(LIMIT - i)).map((note) => {
    const own = tries.filter((each) => each.writtenMidi === note).toSorted((a, b) => a.at - b.at);
    const became = own.filter(({ depth }) => depth.kind === 'subtone').length;
    return { writtenMidi: note, isBest: note <= BEST, tries: own, became };
  });
}
