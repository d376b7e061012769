import { expect, it } from 'vitest';
import { writtenMidi } from '../horn/index.ts';
import type { FamilyId } from '../exercise/index.ts';
import type { PractisedNote, Zone } from '../practice/index.ts';
import { usualRequest } from '../testing/usualRequest.ts';
import type { Candidate } from './candidates.ts';
import { choose } from './chooseLines.ts';
import { inOrder } from './lineOrder.ts';
import { total } from './rests.ts';

let count = 0;
/** Something to play for a minute, worth more than what comes after it. */
type Change = Partial<Candidate['item']> &
  Partial<Pick<Candidate, 'isSchool' | 'isNew' | 'isHard' | 'stays'>>;
function wanted(
  zone: Zone,
  { isSchool = false, isNew = false, isHard = false, stays = false, ...item }: Change = {},
): Candidate {
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
    need: { isResting: false },
    isSchool,
    isNew,
    isHard,
    stays,
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
  expect(secondsOf(choose(school, LONG, usualRequest({ minutes: 15 })), isHigh)).toBe(300);
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
  const zones = choose(all, 2 * total(all[0].item) + total(all[4].item), usualRequest()).map(
    ({ item }) => item.zone,
  );
  expect(zones.toSorted()).toEqual(['low', 'middle', 'palm']);
});

it('takes a family twice at most, long tones in every zone, and one line once', () => {
  const same = (family: FamilyId) => Array.from({ length: 6 }, () => wanted('low', { family }));
  expect(choose(same('fifths'), LONG, usualRequest())).toHaveLength(2);
  expect(choose(same('longHold'), LONG, usualRequest())).toHaveLength(4);
  const twice = wanted('low');
  expect(choose([twice, { ...twice }], LONG, usualRequest())).toHaveLength(1);
});

it('puts heavy and light in turn as long as there are both', () => {
  const kinds = (heavy: number, light: number) =>
    inOrder(
      [
        ...Array.from({ length: heavy }, () => wanted('low', { isHeavy: true })),
        ...Array.from({ length: light }, () => wanted('low')),
      ],
      LONG,
    )
      .map(({ item }) => (item.isHeavy ? 'H' : 'l'))
      .join('');
  expect(kinds(3, 2)).toBe('HlHlH');
  expect(kinds(2, 2)).toBe('lHlH');
  expect(kinds(1, 4)).toBe('lHlll');
  expect(kinds(4, 1)).toBe('HlHHH');
  expect(kinds(0, 2)).toBe('ll');
});

it('takes two new drills a day at most, counting those met today; what the player keeps and a school are beside that', () => {
  const news = Array.from({ length: 5 }, () => wanted('low', { isNew: true }));
  const old = Array.from({ length: 2 }, () => wanted('low'));
  const count = (chosen: readonly Candidate[]) => chosen.filter(({ isNew }) => isNew).length;
  expect(count(choose([...news, ...old], LONG, usualRequest()))).toBe(2);
  // Twice the same new drill is one.
  const twice = Array.from({ length: 2 }, () => wanted('low', { isNew: true, family: 'fifths' }));
  expect(count(choose([...twice, ...news], LONG, usualRequest()))).toBe(3);
  const met = (family: string) => ({ family, at: 60_000 }) as PractisedNote;
  const history = [met('a'), met('b')];
  expect(count(choose([...news, ...old], LONG, usualRequest({ history })))).toBe(0);
  // What was met today may come again.
  const again = wanted('low', { isNew: true, family: 'a' as FamilyId });
  expect(count(choose([...news, again], LONG, usualRequest({ history })))).toBe(1);
  const kept = wanted('low', { isNew: true, stays: true });
  const school = wanted('low', { isNew: true, isSchool: true });
  expect(count(choose([kept, school, ...news], LONG, usualRequest({ history })))).toBe(2);
});

it('leaves what failed too often until tomorrow, however much time there is', () => {
  const tired = { ...wanted('low'), need: { isResting: true } } as Candidate;
  expect(choose([tired], LONG, usualRequest())).toHaveLength(0);
  expect(choose([{ ...tired, stays: true }], LONG, usualRequest())).toHaveLength(1);
});

it('begins with nothing loud or high, puts nothing high after high, what is new early and never hard at the end', () => {
  const loud = wanted('middle', { isHeavy: true, isLoud: true });
  const palm = wanted('palm', { isHeavy: true });
  const easy = wanted('low', { isHeavy: true });
  expect(inOrder([loud, palm, easy], LONG)[0]).toBe(easy);
  const high = [wanted('palm'), wanted('altissimo'), wanted('low'), wanted('middle')];
  const zones = inOrder(high, LONG).map(({ item }) => item.zone);
  expect(zones).toEqual(['low', 'palm', 'middle', 'altissimo']);
  const fresh = wanted('low', { isNew: true, isHard: true });
  const known = Array.from({ length: 4 }, () => wanted('low'));
  expect(inOrder([...known, fresh], LONG).indexOf(fresh)).toBe(1);
  // A minute with its rest reaches into the last two.
  expect(inOrder([fresh], 180)).toEqual([]);
  expect(inOrder([fresh], 200)).toEqual([fresh]);
  expect(inOrder([{ ...fresh, isSchool: true }], 100)).toHaveLength(1);
  expect(inOrder([{ ...fresh, isHard: false }], 100)).toHaveLength(1);
});

it('rests longest after high notes', () => {
  const rest = (each: Candidate) => total(each.item) - each.item.seconds;
  expect(rest(wanted('palm'))).toBeGreaterThan(rest(wanted('low', { isHeavy: true })));
  expect(rest(wanted('low', { isHeavy: true }))).toBeGreaterThan(rest(wanted('low')));
});
