import type { WrittenPart } from '@inner-hum/core/exercise';

/** Where a beat of a phrase stands on a line. */
export interface Anchor {
  phrase: number;
  beat: number;
  x: number;
  /** What begins there; null at the end of a bar. */
  item: WrittenPart | null;
}

/** X of a beat on this line; null where it lies on another. */
export function xOf(anchors: readonly Anchor[], phrase: number, beat: number): number | null {
  const mine = anchors.filter((anchor) => anchor.phrase === phrase);
  // Where a bar ends and the next begins, the beat is where its note stands.
  const begins = mine.find((anchor) => anchor.item !== null && Math.abs(anchor.beat - beat) < 1e-6);
  if (begins) return begins.x + 5;
  const after = mine.findIndex((anchor) => anchor.beat >= beat - 1e-6);
  if (after < 0) return null;
  if (Math.abs(mine[after].beat - beat) < 1e-6) return mine[after].x + 5;
  if (after === 0) return null;
  const [from, to] = [mine[after - 1], mine[after]];
  return from.x + ((beat - from.beat) / (to.beat - from.beat)) * (to.x - from.x);
}
