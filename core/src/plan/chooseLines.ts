import type { Zone } from '../practice/index.ts';
import type { Candidate } from './candidates.ts';
import { MOST_OF_SCHOOL, REST_SECONDS } from './schools.ts';
import type { SheetItem } from './sheetItems.ts';
import type { SheetRequest } from './sheetRequest.ts';

const GROUPS: readonly (readonly Zone[])[] = [['low'], ['middle'], ['high', 'palm', 'altissimo']];
/** High playing is at most this share of a sheet. */
const MOST_HIGH = 0.3;

const isHigh = ({ zone }: SheetItem) => zone === 'palm' || zone === 'altissimo';

/** How long it takes with the rest after it. */
export const total = ({ seconds, isHeavy }: SheetItem) =>
  seconds + (isHeavy ? REST_SECONDS.heavy : REST_SECONDS.light);

/** One of each zone first, then what is worth most, as far as time and limits go. */
export function choose(wanted: readonly Candidate[], room: number, request: SheetRequest): Candidate[] {
  const chosen: Candidate[] = [];
  let left = room;
  const { highSeconds, loudSeconds } = request;
  const mostSchool = MOST_OF_SCHOOL * 60 * request.minutes;
  const sum = (test: (each: Candidate) => boolean, seconds: (item: SheetItem) => number) =>
    chosen.filter(test).reduce((all, each) => all + seconds(each.item), 0);
  const playing = ({ seconds }: SheetItem) => seconds;
  const fits = ({ item, isSchool }: Candidate) => {
    if (total(item) > left) return false;
    if (isSchool && sum((each) => each.isSchool, total) + total(item) > mostSchool) return false;
    if (isHigh(item)) {
      // A school that plays high does so on purpose: only the player's own limit holds for it.
      const most = isSchool ? Infinity : MOST_HIGH * 60 * request.minutes;
      const high = sum((each) => isHigh(each.item), playing) + item.seconds;
      if (high > Math.min(most, highSeconds ?? Infinity)) return false;
    }
    const loud = sum((each) => each.item.isLoud, playing);
    return !item.isLoud || loud + item.seconds <= (loudSeconds ?? Infinity);
  };
  const take = (each: Candidate) => {
    chosen.push(each);
    left -= total(each.item);
  };
  for (const group of GROUPS) {
    const ofGroup = wanted.filter((each) => group.includes(each.item.zone) && !chosen.includes(each));
    // Where little time is left the shortest of a zone is better than none.
    const share = left / (GROUPS.length - GROUPS.indexOf(group));
    const first =
      ofGroup.find((each) => fits(each) && total(each.item) <= Math.max(share, 60)) ??
      ofGroup
        .filter(fits)
        .toSorted((a, b) => total(a.item) - total(b.item))
        .at(0);
    if (first) take(first);
  }
  for (const each of wanted) {
    const again = chosen.some((other) => other.item.key === each.item.key);
    const family = chosen.filter((other) => other.item.family === each.item.family).length;
    if (!again && (each.isSchool || family < 2) && fits(each)) take(each);
  }
  return chosen;
}

/** Heavy and light in turn, each by worth, as long as there are both. */
export function alternate(chosen: readonly Candidate[]): Candidate[] {
  const sorted = chosen.toSorted((a, b) => b.worth - a.worth || a.item.key.localeCompare(b.item.key));
  const [heavy, light] = [
    sorted.filter(({ item }) => item.isHeavy),
    sorted.filter(({ item }) => !item.isHeavy),
  ];
  const lines: Candidate[] = [];
  // What there is more of begins, so that two of a kind are next to each other as rarely as can be.
  let turn = heavy.length > light.length;
  while (heavy.length + light.length > 0) {
    const next = (turn ? heavy : light).shift() ?? (turn ? light : heavy).shift();
    if (next) lines.push(next);
    turn = !(lines.at(-1)?.item.isHeavy ?? false);
  }
  return lines;
}
