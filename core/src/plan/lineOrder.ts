import type { Candidate } from './candidates.ts';
import { total } from './rests.ts';
import { isHigh } from './sheetItems.ts';

/** Nothing that is new and hard is left for so long before the end. */
const LAST_SECONDS = 120;

const byWorth = (a: Candidate, b: Candidate) => b.worth - a.worth || a.item.key.localeCompare(b.item.key);
/** What is new comes while the head is fresh; else by worth. */
const byTurn = (a: Candidate, b: Candidate) => Number(b.isNew) - Number(a.isNew) || byWorth(a, b);
const isEasyStart = ({ item, isNew }: Candidate) =>
  !isNew && !item.isLoud && !isHigh(item) && item.zone !== 'high';

/** Takes the first that fits out of a list, or the first at all. */
function takeFrom(list: Candidate[], fits: (each: Candidate) => boolean): Candidate | undefined {
  const at = list.findIndex(fits);
  return list.splice(Math.max(0, at), 1).at(0);
}

/**
 * Heavy and light in turn as long as there are both; nothing loud or high first, nothing high after high, what is new early. What is
 * new and hard and would still reach into the last two minutes is left for another day. `seconds`: of the sheet after its opening.
 */
export function inOrder(chosen: readonly Candidate[], seconds: number): Candidate[] {
  const heavy = chosen.filter(({ item }) => item.isHeavy).toSorted(byTurn);
  const light = chosen.filter(({ item }) => !item.isHeavy).toSorted(byTurn);
  const lines: Candidate[] = [];
  // What there is more of begins, so that two of a kind are next to each other as rarely as can be.
  let turn = heavy.length > light.length;
  while (heavy.length + light.length > 0) {
    const list = (turn && heavy.length > 0) || light.length === 0 ? heavy : light;
    const last = lines.at(-1);
    const next = takeFrom(list, (each) =>
      last ? !(isHigh(last.item) && isHigh(each.item)) : isEasyStart(each),
    );
    if (next) lines.push(next);
    turn = !(lines.at(-1)?.item.isHeavy ?? false);
  }
  let end = 0;
  return lines.filter((each) => {
    const stays =
      each.stays ||
      each.isSchool ||
      !(each.isNew && each.isHard) ||
      end + total(each.item) <= seconds - LAST_SECONDS;
    if (stays) end += total(each.item);
    return stays;
  });
}
