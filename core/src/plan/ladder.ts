import {
  FIRST_SHORT_TUBE,
  HIGHEST_PARTIAL,
  isShortTube,
  LAST_FUNDAMENTAL,
  LAST_SHORT_TUBE,
  partialNote,
  routeChance,
  writtenMidi,
  type Horn,
  type Spoken,
  type WrittenMidi,
} from '../horn/index.ts';
import { median, wilson, type Interval } from '../stats/index.ts';
import type { RungTry } from './rungTries.ts';

/** `reached`: speaks, and enough tries say so. `shaky`: has spoken. `notYet`: has not. */
export type RungState = 'reached' | 'shaky' | 'notYet';

export interface Rung extends Spoken {
  fingered: WrittenMidi;
  partial: number;
  sounding: WrittenMidi;
  state: RungState;
  /** Share of tries that spoke, 0-1, with its 90 % interval; null where it was never tried. */
  rate: number | null;
  interval: Interval | null;
  /** Median from the equal-tempered note. */
  cents: number | null;
  /** Median hold. */
  holdSeconds: number | null;
  /** Median time until it stood clear. */
  clearSeconds: number | null;
  /** The partial that most often sounded in its place; null where none did. */
  slipsTo: number | null;
}

/** Lately counts: more tries than this of one rung are not looked back at. */
const LATEST = 24;
/** Reached: spoken so often, and at least this often even at the low end of the interval. */
const REACHED_RATE = 0.8;
const REACHED_LOW = 0.5;

/** Every rung of a horn: its fundamentals from the lowest note to F4, partials 1 to 8, by fundamental. */
export function ladder(horn: Pick<Horn, 'lowest'>, tries: readonly RungTry[]): Rung[][] {
  const fundamentals = Array.from({ length: LAST_FUNDAMENTAL - horn.lowest + 1 }, (_, i) => horn.lowest + i);
  return fundamentals.map((fundamental) =>
    Array.from({ length: HIGHEST_PARTIAL }, (_, i) => rungOf(writtenMidi(fundamental), i + 1, tries)),
  );
}

/** Partial of a short tube that is its overblown fifth. */
const FIFTH_PARTIAL = 3;

/** The overblown fifths of a horn, a column each of one rung: D5 to B5 by their own fingers, as far as the horn goes. */
export function fifthRungs({ highest }: Pick<Horn, 'highest'>, tries: readonly RungTry[]): Rung[][] {
  const last = Math.min(LAST_SHORT_TUBE, highest);
  return Array.from({ length: Math.max(0, last - FIRST_SHORT_TUBE + 1) }, (_, i) => [
    rungOf(writtenMidi(FIRST_SHORT_TUBE + i), FIFTH_PARTIAL, tries),
  ]);
}

/** How one partial of a fingering has spoken lately. */
export function rungOf(fingered: WrittenMidi, partial: number, all: readonly RungTry[]): Rung {
  const tries = all
    .filter((each) => each.fingered === fingered && each.partial === partial)
    .toSorted((a, b) => a.at - b.at)
    .slice(-LATEST);
  const spoke = tries.filter((each) => each.spoke).length;
  const interval = wilson(spoke, tries.length);
  const rate = tries.length === 0 ? null : spoke / tries.length;
  const numbers = (read: (each: RungTry) => number | null) =>
    median(tries.map(read).filter((value) => value !== null));
  const isReached = rate !== null && rate >= REACHED_RATE && interval !== null && interval.low >= REACHED_LOW;
  return {
    fingered,
    partial,
    sounding: partialNote(writtenMidi(isShortTube(fingered) ? fingered - 12 : fingered), partial),
    spoke,
    tries: tries.length,
    state: isReached ? 'reached' : spoke > 0 ? 'shaky' : 'notYet',
    rate,
    interval,
    cents: numbers(({ cents }) => cents),
    holdSeconds: numbers(({ holdSeconds }) => holdSeconds),
    clearSeconds: numbers(({ clearSeconds }) => clearSeconds),
    slipsTo: mostCommon(tries.flatMap(({ heardPartial }) => (heardPartial === null ? [] : [heardPartial]))),
  };
}

/** How long a rung took to stand clear, day by day: the median of each day it was played on, in seconds, the oldest first. `dayOf` names the day of a try. */
export function clearByDay(
  { fingered, partial }: Pick<Rung, 'fingered' | 'partial'>,
  all: readonly RungTry[],
  dayOf: (at: number) => string,
): { day: string; at: number; seconds: number }[] {
  const days = new Map<string, RungTry[]>();
  for (const each of all) {
    if (each.fingered !== fingered || each.partial !== partial || each.clearSeconds === null) continue;
    const day = dayOf(each.at);
    days.set(day, [...(days.get(day) ?? []), each]);
  }
  return [...days]
    .map(([day, tries]) => ({
      day,
      at: Math.min(...tries.map(({ at }) => at)),
      seconds: median(tries.flatMap(({ clearSeconds }) => clearSeconds ?? [])) ?? 0,
    }))
    .toSorted((a, b) => a.at - b.at);
}

function mostCommon(values: readonly number[]): number | null {
  const counts = new Map<number, number>();
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1);
  return [...counts].toSorted((a, b) => b[1] - a[1]).at(0)?.[0] ?? null;
}

/** How much the rungs beside one say of it, against tries of its own. */
const BESIDE_WEIGHT = 0.35;

/** Chance that a rung speaks at the next try: its own tries, those of the rungs beside it, and what is usual. */
export function rungChance(rungs: readonly (readonly Rung[])[], column: number, row: number): number {
  const rung = rungs[column][row];
  const beside = [rungs.at(column + 1)?.[row], column > 0 ? rungs[column - 1][row] : undefined];
  const told = beside.reduce(
    (sum, other) => ({
      spoke: sum.spoke + BESIDE_WEIGHT * (other?.spoke ?? 0),
      tries: sum.tries + BESIDE_WEIGHT * (other?.tries ?? 0),
    }),
    { spoke: rung.spoke, tries: rung.tries },
  );
  const { fingered, partial } = rung;
  if (isShortTube(fingered))
    return routeChance(
      { kind: 'shortTube', fingered, octaveKey: true, tube: writtenMidi(fingered - 12), partial },
      told,
    );
  const kind = partial === 1 ? 'regular' : 'longTube';
  return routeChance({ kind, fingered, octaveKey: false, tube: fingered, partial }, told);
}

/** Even: as likely to speak as not teaches most. */
const BEST_CHANCE = 0.6;
/** A rung over one that does not speak yet is a step too far. */
const STEP_TOO_FAR = 0.35;

/**
 * The rung to work on next: not reached yet, and at its next try nearest to speaking three times in five, where practice tells
 * most; a rung whose neighbour below is not spoken yet waits for that one. `blocks`: of long tubes, of fifths. Null where all are reached.
 */
export function nextRung(...blocks: readonly (readonly (readonly Rung[])[])[]): Rung | null {
  let best: Rung | null = null;
  let most = -Infinity;
  for (const rungs of blocks)
    rungs.forEach((series, column) =>
      series.forEach((rung, row) => {
        if (rung.state === 'reached' || rung.partial === 1) return;
        const below = row > 0 ? series[row - 1] : null;
        const isFar = below !== null && below.partial > 1 && below.state === 'notYet';
        // What has been begun comes before what has not: its figures can be told.
        const begun = rung.tries > 0 ? 0.1 : 0;
        const worth =
          begun - Math.abs(rungChance(rungs, column, row) - BEST_CHANCE) - (isFar ? STEP_TOO_FAR : 0);
        if (worth > most) [most, best] = [worth, rung];
      }),
    );
  return best;
}
