import { expect, it } from 'vitest';
import { hornById } from '../horn/index.ts';
import type { PractisedNote } from '../practice/index.ts';
import { createRandom } from '../signal/index.ts';
import { triesAt } from '../testing/triesAt.ts';
import { usualRequest } from '../testing/usualRequest.ts';
import { sheetItems, type SheetItem } from './sheetItems.ts';
import { todaySheet } from './todaySheet.ts';

const DAY_MS = 24 * 3600_000;
const NOW = 20_000 * DAY_MS;

/** How practice may work; `gain` of a skill at p from one item. The unkind one rewards what already goes well. */
const LEARNING: Record<string, (p: number, daysSince: number) => number> = {
  steady: (p) => 0.06 * (1 - p),
  spaced: (p, daysSince) => 0.1 * (1 - p) * (1 - Math.exp(-daysSince / 2)),
  unkind: (p) => 0.12 * p * (1 - p),
};
const FORGOTTEN_A_DAY = 0.006;

const itemsOf = new Map<number, SheetItem[]>();
/** The items of a day, made once. */
function itemsOn(day: number): SheetItem[] {
  const items = itemsOf.get(day) ?? sheetItems(hornById('alto'), day);
  itemsOf.set(day, items);
  return items;
}

/** Mean skill after ninety days of ten minutes, chosen by a plan. */
function after90(
  learn: (p: number, daysSince: number) => number,
  plan: 'planned' | 'fixed' | 'random',
  seed: number,
) {
  const random = createRandom(seed);
  const name = ({ family, zone }: Pick<SheetItem, 'family' | 'zone'>) => `${family}/${zone}`;
  const skills = new Map<string, { p: number; last: number }>();
  for (let day = 0; day < 12; day++)
    for (const item of itemsOn(day))
      if (!skills.has(name(item))) skills.set(name(item), { p: 0.2 + 0.5 * random.uniform(), last: -5 });
  const history: PractisedNote[] = [];
  const planOf = (day: number) =>
    todaySheet(
      usualRequest({ now: NOW + day * DAY_MS, dayStart: NOW + day * DAY_MS, dayNumber: day, history }),
    ).flatMap(({ item, reason }) => (item && reason.kind !== 'opening' ? [item] : []));
  // The others play as long as the plan of the first day.
  const fixed = planOf(0);
  for (let day = 0; day < 90; day++) {
    const now = NOW + day * DAY_MS;
    const sheet = plan === 'planned' ? planOf(day) : fixed;
    const shuffled = itemsOn(day)
      .map((item) => ({ item, at: random.uniform() }))
      .toSorted((a, b) => a.at - b.at);
    const chosen =
      plan === 'planned'
        ? sheet
        : plan === 'fixed'
          ? fixed
          : shuffled.slice(0, sheet.length).map(({ item }) => item);
    for (const skill of skills.values()) skill.p -= FORGOTTEN_A_DAY * skill.p;
    for (const item of chosen) {
      const skill = skills.get(name(item));
      if (!skill) continue;
      const judged = 4;
      const asWritten = Array.from({ length: judged }, () => random.uniform()).filter(
        (u) => u < skill.p,
      ).length;
      history.push(...triesAt(item, now, judged, asWritten));
      skill.p = Math.min(0.99, skill.p + learn(skill.p, day - skill.last));
      skill.last = day;
    }
  }
  const all = [...skills.values()].map(({ p }) => p);
  return all.reduce((sum, p) => sum + p, 0) / all.length;
}

it('is tried against fixed and random practice for ninety days, under learning kind and unkind to it', () => {
  const told: string[] = [];
  for (const [kind, learn] of Object.entries(LEARNING)) {
    const mean = (plan: 'planned' | 'fixed' | 'random') =>
      [1, 2].reduce((sum, seed) => sum + after90(learn, plan, seed), 0) / 2;
    const [planned, fixed, random] = [mean('planned'), mean('fixed'), mean('random')];
    told.push(
      `${kind}: planned ${planned.toFixed(3)}, fixed ${fixed.toFixed(3)}, random ${random.toFixed(3)}`,
    );
    expect(planned).toBeGreaterThan(fixed);
    // Where practice pays most on what goes well already, a plan that goes after what fails has to lose a little.
    expect(planned).toBeGreaterThan(random - (kind === 'unkind' ? 0.05 : 0.01));
  }
  console.info(`skill after 90 days of ten minutes: ${told.join('; ')}`);
});
