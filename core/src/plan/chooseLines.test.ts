import { expect, it } from 'vitest';
import { writtenMidi } from '../horn/index.ts';
import type { Zone } from '../practice/index.ts';
import { usualRequest } from '../testing/usualRequest.ts';
import type { Candidate } from './candidates.ts';
import { alternate, choose, total } from './chooseLines.ts';

let count = 0;
/** Something to play for a minute, worth more than what comes after it. */
function wanted(zone: Zone, change: Partial<Candidate['item']> & { isSchool?: boolean } = {}): Candidate {
  const { isSchool = false, ...item } = change;
  const key = `line${String(count++).padStart(3, '0')}`;
  return {
    item: {
      key,
      family: key,
      zone,
      midi: writtenMidi(60),
      seconds: 60,
      isHeavy: false,
      isLoud: false,
      ...item,
    },
    worth: 1000 - count,
    isSchool,
  } as unknown as Candidate;
}
const secondsOf = (chosen: readonly Candidate[], which: (each: Candidate) => boolean) =>
  chosen.filter(which).reduce((sum, { item }) => sum + item.seconds, 0);
const isHigh = ({ item: { zone } }: Candidate) => zone === 'palm' || zone === 'altissimo';
const LONG = 100_000;

it('gives high playing no more than three tenths of a sheet, however much it is wanted', () => {
  const high = Array.from({ length: 8 }, () => wanted('palm'));
  const all = [...high, ...Array.from({ length: 4 }, () => wanted('low'))];
  // Of ten minutes three; of twenty, six.
  expect(secondsOf(choose(all, LONG, usualRequest()), isHigh)).toBe(180);
  expect(secondsOf(choose(all, LONG, usualRequest({ minutes: 20 })), isHigh)).toBe(360);
  // The player's own limit where it is the lower one.
  expect(secondsOf(choose(all, LONG, usualRequest({ highSeconds: 130 })), isHigh)).toBe(120);
  expect(secondsOf(choose(all, LONG, usualRequest({ highSeconds: 0 })), isHigh)).toBe(0);
  expect(secondsOf(choose(all, LONG, usualRequest({ highSeconds: 1000 })), isHigh)).toBe(180);
  // A school that plays high does so on purpose; the player's limit holds for it too.
  const school = Array.from({ length: 5 }, () => wanted('altissimo', { isSchool: true }));
  expect(secondsOf(choose(school, LONG, usualRequest()), isHigh)).toBeGreaterThan(180);
  expect(secondsOf(choose(school, LONG, usualRequest({ highSeconds: 130 })), isHigh)).toBe(120);
});

it('keeps loud playing within what is left of the day', () => {
  const all = Array.from({ length: 6 }, (_, i) => wanted('low', { isLoud: i % 2 === 0 }));
  const isLoud = ({ item }: Candidate) => item.isLoud;
  expect(secondsOf(choose(all, LONG, usualRequest()), isLoud)).toBe(180);
  expect(secondsOf(choose(all, LONG, usualRequest({ loudSeconds: 120 })), isLoud)).toBe(120);
  expect(secondsOf(choose(all, LONG, usualRequest({ loudSeconds: 119 })), isLoud)).toBe(60);
  const none = choose(all, LONG, usualRequest({ loudSeconds: 0 }));
  expect(secondsOf(none, isLoud)).toBe(0);
  // What is soft is not held back by it.
  expect(none).toHaveLength(3);
});

it('fills the time there is, and no more', () => {
  const all = Array.from({ length: 10 }, () => wanted('low'));
  const one = total(all[0].item);
  for (const count of [0, 1, 3, 10]) expect(choose(all, count * one, usualRequest())).toHaveLength(count);
  expect(choose(all, 3 * one - 1, usualRequest())).toHaveLength(2);
});

it('takes something low, something middle and something high before more of what is worth most', () => {
  const all = [wanted('low'), wanted('low'), wanted('low'), wanted('middle'), wanted('palm')];
  const zones = choose(all, 3 * total(all[0].item), usualRequest()).map(({ item }) => item.zone);
  expect(zones.toSorted()).toEqual(['low', 'middle', 'palm']);
});

it('takes a family twice at most, and one line once', () => {
  const same = Array.from({ length: 4 }, () => wanted('low', { family: 'longHold' }));
  expect(choose(same, LONG, usualRequest())).toHaveLength(2);
  const twice = wanted('low');
  expect(choose([twice, { ...twice }], LONG, usualRequest())).toHaveLength(1);
});

it('puts heavy and light in turn as long as there are both', () => {
  const kinds = (heavy: number, light: number) =>
    alternate([
      ...Array.from({ length: heavy }, () => wanted('low', { isHeavy: true })),
      ...Array.from({ length: light }, () => wanted('low')),
    ])
      .map(({ item }) => (item.isHeavy ? 'H' : 'l'))
      .join('');
  expect(kinds(3, 2)).toBe('HlHlH');
  expect(kinds(2, 2)).toBe('lHlH');
  expect(kinds(1, 4)).toBe('lHlll');
  expect(kinds(4, 1)).toBe('HlHHH');
  expect(kinds(0, 2)).toBe('ll');
});
