/** Signs of a measure that say where the music goes on. */
export interface MeasureRoad {
  forward: boolean;
  /** Times that a backward repeat at its end is played in all; 0: none. */
  backward: number;
  /** Numbers of the endings that this measure belongs to; empty: it is of no ending. */
  endings: readonly number[];
  segno: boolean;
  coda: boolean;
  fine: boolean;
  toCoda: boolean;
  dacapo: boolean;
  dalsegno: boolean;
}

export const PLAIN_ROAD: MeasureRoad = {
  forward: false,
  backward: 0,
  endings: [],
  segno: false,
  coda: false,
  fine: false,
  toCoda: false,
  dacapo: false,
  dalsegno: false,
};

/**
 * The measures in the order in which they are played: repeats, endings, da capo, dal segno, fine and coda. After a jump back
 * repeats are not played again, as is usual. Never more than `most` measures, whatever the signs say.
 */
export function unroll(roads: readonly MeasureRoad[], most: number): number[] {
  const played: number[] = [];
  let at = 0;
  let from = 0;
  let pass = 1;
  let jumped = false;
  while (at < roads.length && played.length < most) {
    const road = roads[at];
    if (road.forward && from !== at && !jumped) {
      from = at;
      pass = 1;
    }
    // Of an ending that is not for this time nothing is played; after a jump only the last time counts.
    const last = road.endings.length > 0 && lastEnding(roads, at);
    const isForNow = road.endings.length === 0 || (jumped ? last : road.endings.includes(pass));
    if (!isForNow) {
      at++;
      continue;
    }
    played.push(at);
    if (jumped && road.fine) return played;
    if (jumped && road.toCoda) {
      const coda = roads.findIndex((each, i) => each.coda && i > at);
      if (coda >= 0) {
        at = coda;
        continue;
      }
    }
    if (road.backward > pass && !jumped) {
      pass++;
      at = from;
      continue;
    }
    if (road.backward > 0) {
      from = at + 1;
      pass = 1;
    }
    if (!jumped && (road.dacapo || road.dalsegno)) {
      jumped = true;
      at = road.dacapo
        ? 0
        : Math.max(
            0,
            roads.findIndex(({ segno }) => segno),
          );
      continue;
    }
    at++;
  }
  return played;
}

/** Whether no later ending follows the one at a measure directly. */
function lastEnding(roads: readonly MeasureRoad[], at: number): boolean {
  const own = roads[at].endings;
  for (let i = at + 1; i < roads.length && roads[i].endings.length > 0; i++)
    if (!roads[i].endings.some((number) => own.includes(number))) return false;
  return true;
}
