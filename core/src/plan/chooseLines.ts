import type { Zone } from '../practice/index.ts';
import type { Candidate } from './candidates.ts';
import { isBasic, metToday, MOST_NEW } from './whatIsKnown.ts';
import { total } from './rests.ts';
import { MOST_OF_SCHOOL } from './schools.ts';
import { isHigh, type SheetItem } from './sheetItems.ts';
import type { SheetRequest } from './sheetRequest.ts';

const GROUPS: readonly (readonly Zone[])[] = [['low'], ['middle'], ['high', 'palm', 'altissimo']];
/** High playing is at most this share of a sheet. */
const MOST_HIGH = 0.3;
/** Lines of one family; long tones may stand on a sheet in every zone. */
const MOST_OF_FAMILY = 2;
const MOST_OF_BASIC = 4;

/** One of each zone first, then what is worth most, as far as time and limits go. */
export function choose(wanted: readonly Candidate[], room: number, request: SheetRequest): Candidate[] {
  const chosen: Candidate[] = [];
  let left = room;
  const { highSeconds, loudSeconds } = request;
  const met = metToday(request.history, request.dayStart, request.experience);
  const mostSchool = MOST_OF_SCHOOL * 60 * request.minutes;
  const sum = (test: (each: Candidate) => boolean, seconds: (item: SheetItem) => number) =>
    chosen.filter(test).reduce((all, each) => all + seconds(each.item), 0);
  const playing = ({ seconds }: SheetItem) => seconds;
  const fits = (each: Candidate) => {
    const { item, isSchool } = each;
    if (total(item) > left) return false;
    // It failed too often: it waits until tomorrow, however much time there is.
    if (each.need.isResting && !isSchool && !each.stays) return false;
    // What was met today, or stays because the player wants it, is on the sheet anyhow.
    if (each.isNew && !isSchool && !each.stays && !met.has(item.family)) {
      const others = chosen.filter((other) => other.isNew && other.item.family !== item.family);
      const families = new Set<string>([...met, ...others.map((other) => other.item.family)]);
      if (families.size >= MOST_NEW) return false;
    }
    if (isSchool && sum((other) => other.isSchool, total) + total(item) > mostSchool) return false;
    if (isHigh(item)) {
      // A school that plays high does so on purpose: only the player's own limit holds for it.
      const most = isSchool ? Infinity : MOST_HIGH * 60 * request.minutes;
      const high = sum((other) => isHigh(other.item), playing) + item.seconds;
      if (high > Math.min(most, highSeconds ?? Infinity)) return false;
    }
    const loud = sum((other) => other.item.isLoud, playing);
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
    if (
      !again &&
      (each.isSchool || family < (isBasic(each.item.family) ? MOST_OF_BASIC : MOST_OF_FAMILY)) &&
      fits(each)
    )
      take(each);
  }
  return chosen;
}
