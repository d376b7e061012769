import type { Skill } from '../exercise/index.ts';
import type { Zone } from '../practice/index.ts';
import { needOf, type Need, type Tally } from './need.ts';
import { practiceHistory } from './practiceHistory.ts';
import { sheetItems } from './sheetItems.ts';
import type { SheetRequest } from './sheetRequest.ts';
import { wishWeight } from './planWish.ts';

/** What the plan knows of a skill in a zone, and how much it wants it practised. */
export interface Learned {
  skill: Skill;
  zone: Zone;
  tally: Tally;
  /** 0 not at all - 1 most, with the player's wish. */
  need: number;
  /** Failed too often: it waits until tomorrow. */
  isResting: boolean;
}

/** What the plan has learned of a player on a horn, a row a skill and zone, what it wants most first. */
export function learned(
  request: Pick<SheetRequest, 'horn' | 'dayNumber' | 'history' | 'now' | 'dayStart' | 'wishes'>,
): Learned[] {
  const { horn, dayNumber, now, dayStart, wishes } = request;
  const history = practiceHistory(request.history, now);
  const rows = new Map<string, Need & { zoneName: Zone }>();
  for (const item of sheetItems(horn, dayNumber)) {
    const need = needOf(item, history, now, dayStart);
    const key = `${need.skill} ${item.zone}`;
    const before = rows.get(key);
    // What is most needed of them speaks for the row; it rests where all of it does.
    if (!before || need.need > before.need)
      rows.set(key, {
        ...need,
        zoneName: item.zone,
        isResting: need.isResting && (before?.isResting ?? true),
      });
  }
  return [...rows.values()]
    .map(({ skill, zoneName, zone: tally, need, isResting }) => ({
      skill,
      zone: zoneName,
      tally,
      need: Math.min(1, need * wishWeight(wishes, skill, zoneName)),
      isResting,
    }))
    .toSorted((a, b) => b.need - a.need);
}
