import type { Skill } from '../exercise/index.ts';
import type { Zone } from '../practice/index.ts';

/** What the player says against the plan: more of a skill somewhere, or less. */
export interface PlanWish {
  skill: Skill;
  zone: Zone;
  wish: 'more' | 'less';
}

/** How much a wish counts against what the plan found. */
const WEIGHT = { more: 2, less: 0.2 };

/** How many times as much as the plan found a skill in a zone is worth to the player; 1 without a wish. */
export const wishWeight = (wishes: readonly PlanWish[], skill: Skill, zone: Zone): number => {
  const own = wishes.find((each) => each.skill === skill && each.zone === zone);
  return own ? WEIGHT[own.wish] : 1;
};
