import fc from 'fast-check';
import { expect, it } from 'vitest';
import { FAMILIES } from '../exercise/index.ts';
import { hornById, HORN_IDS, writtenMidi } from '../horn/index.ts';
import type { PractisedNote } from '../practice/index.ts';
import { triesAt } from '../testing/triesAt.ts';
import { usualRequest } from '../testing/usualRequest.ts';
import { needOf, type Wanted } from './need.ts';
import type { RoutineItem } from './routineItem.ts';
import { practiceHistory } from './practiceHistory.ts';
import { AIMS } from './schools.ts';
import { sheetItems } from './sheetItems.ts';
import type { SheetRequest } from './sheetRequest.ts';
import { todaySheet } from './todaySheet.ts';

const DAY_MS = 24 * 3600_000;
const NOW = 20_000 * DAY_MS;

const request = (change: Partial<SheetRequest> = {}) =>
  usualRequest({ now: NOW, dayStart: NOW, dayNumber: 20_000, ...change });

const needsOn = (history: readonly PractisedNote[], now: number) => (wanted: Wanted) =>
  needOf(wanted, practiceHistory(history, now), now, now);

const anyHistory = fc.array(
  fc.record({
    item: fc.nat(21),
    daysAgo: fc.double({ min: 0.01, max: 40, noNaN: true }),
    judged: fc.integer({ min: 1, max: 8 }),
    share: fc.double({ min: 0, max: 1, noNaN: true }),
  }),
  { maxLength: 60 },
);

it('keeps every promise of a sheet for any day, horn, time, aim and history', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...HORN_IDS),
      fc.constantFrom(5, 8, 10, 15, 20, 30, 45),
      fc.constantFrom(...AIMS),
      anyHistory,
      fc.integer({ min: 19_000, max: 21_000 }),
      fc.option(fc.integer({ min: 0, max: 300 }), { nil: null }),
      (hornId, minutes, aim, tried, dayNumber, highSeconds) => {
        const horn = hornById(hornId);
        const items = sheetItems(horn, dayNumber);
        const history = tried.flatMap(({ item, daysAgo, judged, share }) =>
          triesAt(
            items[item % items.length],
            Math.round(NOW - daysAgo * DAY_MS),
            judged,
            Math.round(share * judged),
          ),
        );
        const asked = request({ horn, minutes, aim, history, dayNumber, highSeconds });
        const sheet = todaySheet(asked);
        expect(todaySheet(asked)).toEqual(sheet);
        // Minutes within one.
        const seconds = sheet.reduce((sum, line) => sum + line.seconds, 0);
        expect(Math.abs(seconds - 60 * minutes)).toBeLessThanOrEqual(60);
        expect(new Set(sheet.map(({ key }) => key)).size).toBe(sheet.length);
        // Air, then an easy middle note; a little free play at the end.
        expect(sheet.slice(0, 2).map(({ family }) => family)).toEqual(['airThenNote', 'longHold']);
        expect(sheet[1].item?.zone).toBe('middle');
        expect(sheet.at(-1)?.reason.kind).toBe('free');
        // Something low, something middle, something high, unless high is used up.
        const zones = sheet.flatMap(({ item }) => (item ? [item.zone] : []));
        expect(zones).toContain('low');
        if (highSeconds === null)
          expect(zones.some((zone) => zone === 'high' || zone === 'palm' || zone === 'altissimo')).toBe(true);
        // Limits, and heavy beside heavy only where nothing light is left.
        const body = sheet.slice(2, -1).flatMap(({ item }) => (item ? [item] : []));
        const highOf = (lines: typeof sheet) =>
          lines.reduce(
            (sum, { item }) =>
              sum + (item && (item.zone === 'palm' || item.zone === 'altissimo') ? item.seconds : 0),
            0,
          );
        const isSchool = ({ reason }: (typeof sheet)[number]) => ['school', 'covers'].includes(reason.kind);
        expect(highOf(sheet)).toBeLessThanOrEqual(highSeconds ?? Infinity);
        if (!sheet.some(isSchool)) expect(highOf(sheet)).toBeLessThanOrEqual(0.3 * 60 * minutes);
        body.forEach((item, i) => {
          if (i > 0 && item.isHeavy && body[i - 1].isHeavy)
            expect(body.slice(i).every(({ isHeavy }) => isHeavy)).toBe(true);
        });
        // Reasons are true.
        const needs = needsOn(history, NOW);
        for (const { item, reason } of sheet) {
          if (!item || !('zone' in reason)) continue;
          expect(zones).toContain(reason.zone);
          const need = needs(item);
          const tally = reason.midi === null ? need.zone : need.note;
          if (reason.kind === 'fresh' || reason.kind === 'aim') expect(tally?.daysSince).toBeNull();
          else expect(reason.days).toBe(Math.floor(tally?.daysSince ?? NaN));
          if (reason.kind === 'fails')
            expect([reason.asWritten, reason.judged]).toEqual([tally?.asWritten, tally?.judged]);
        }
      },
    ),
    { numRuns: 150 },
  );
});

it('keeps what is to stay, leaves out what is not wanted today, and rests what fails again and again', () => {
  const [first] = todaySheet(request()).slice(2);
  const without = todaySheet(request({ notToday: [first.familyAndZone] }));
  expect(without.map(({ familyAndZone }) => familyAndZone)).not.toContain(first.familyAndZone);
  const rare = todaySheet(request({ minutes: 45 })).at(-2);
  expect(rare && todaySheet(request({ kept: [rare.key] })).map(({ key }) => key)).toContain(rare?.key);
  const descent: Wanted = { family: 'quietDescent', zone: 'low', midi: null };
  const failing = [0.6, 1.6, 2.6].flatMap((daysAgo) => triesAt(descent, NOW - daysAgo * DAY_MS, 4, 0));
  const tired = needsOn(failing, NOW)(descent);
  expect(tired.isResting).toBe(true);
  // A day later it is wanted again, more than before.
  const later = needsOn(failing, NOW + DAY_MS)(descent);
  expect(later.isResting).toBe(false);
  expect(later.need).toBeGreaterThan(3 * tired.need);
});

it('keeps a filler that was played, whatever is planned anew', () => {
  const asked = { minutes: 20, experience: 'firstYear' as const };
  const filler = todaySheet(request(asked)).find(({ key }) => key.startsWith('more/'));
  if (!filler?.item) throw new Error('There is none.');
  // Everything is known meanwhile: the time is filled by what is needed.
  const history = FAMILIES.flatMap(({ id }) =>
    triesAt({ family: id, zone: 'low', midi: null }, NOW - DAY_MS, 1, 0),
  );
  const anew = (kept: readonly string[]) =>
    todaySheet(request({ ...asked, experience: 'advanced', history, kept })).map(({ key }) => key);
  expect(anew([])).not.toContain(filler.key);
  expect(anew([filler.key])).toContain(filler.key);
});

it('goes to the note that fails, and lets a line that went badly wait until tomorrow', () => {
  const tried = [58, 59, 60, 61, 62].flatMap((midi) =>
    triesAt(
      { family: 'longHold', zone: 'low', midi: writtenMidi(midi) },
      NOW - 4 * DAY_MS,
      8,
      midi === 61 ? 2 : 7,
    ),
  );
  const hold = todaySheet(request({ history: tried, minutes: 30 })).find(
    ({ familyAndZone }) => familyAndZone === 'longHold/low',
  );
  expect(hold?.reason).toMatchObject({ kind: 'fails', midi: 61, judged: 8, asWritten: 2, days: 4 });
  if (!hold?.item) throw new Error('It is not on the sheet.');
  const badly = [...tried, ...triesAt(hold.item, NOW + 60_000, 2, 0)];
  const anew = todaySheet(request({ history: badly, minutes: 10, now: NOW + 120_000 }));
  expect(anew.map(({ familyAndZone }) => familyAndZone)).not.toContain('longHold/low');
  expect(needsOn(badly, NOW + DAY_MS)(hold.item).isResting).toBe(false);
});

it('asks again for a hairpin on the notes on which it went worst', () => {
  const hairpins = (midi: number, asWritten: number) =>
    triesAt(
      { family: 'chromaticTones', zone: 'middle', midi: writtenMidi(midi) },
      NOW - 2 * DAY_MS,
      4,
      asWritten,
    );
  const history = [
    hairpins(65, 4),
    hairpins(67, 0),
    hairpins(69, 4),
    hairpins(71, 1),
    hairpins(72, 0),
  ].flat();
  const sheet = todaySheet(request({ minutes: 45, history }));
  const line = sheet.find(
    ({ familyAndZone, key }) => familyAndZone === 'chromaticTones/middle' && !key.startsWith('more'),
  );
  expect(line?.item?.choices.notes).toBe('67.71.72');
  expect(line?.reason).toMatchObject({ kind: 'fails', judged: 4, asWritten: 0 });
});

it('goes to what an aim is about, on its note', () => {
  const focus = [{ skill: 'start' as const, zone: null, midi: writtenMidi(59), family: null }];
  const without = todaySheet(request({ minutes: 15 }));
  const line = todaySheet(request({ minutes: 15, focus })).find(
    ({ familyAndZone }) => familyAndZone === 'octaveRestart/low',
  );
  expect(line?.item?.midi).toBe(59);
  expect(line?.reason).toEqual({ kind: 'aim', zone: 'low', midi: 59, days: null });
  expect(without.map(({ reason }) => reason.kind)).not.toContain('aim');
});

it('goes through the whole range, through one family, and through an own routine', () => {
  const held = [58, 59, 60].flatMap((midi) =>
    triesAt({ family: 'longHold', zone: 'low', midi: writtenMidi(midi) }, NOW - 3 * DAY_MS, 1, 1),
  );
  const range = todaySheet(request({ aim: 'range', history: held })).filter(
    ({ reason }) => reason.kind === 'covers',
  );
  expect(range.length).toBeGreaterThan(4);
  expect(Math.min(...range.map(({ item }) => item?.midi ?? 0))).toBe(61);
  expect(range[0].reason).toEqual({ kind: 'covers', done: 3, count: 33 });
  const family = todaySheet(request({ aim: 'family', family: 'swell', minutes: 15 }));
  expect(family.filter(({ reason }) => reason.kind === 'school').map(({ item }) => item?.zone)).toEqual(
    expect.arrayContaining(['low', 'middle', 'high', 'palm']),
  );
  const wide = todaySheet(request({ aim: 'swells', minutes: 25 })).find(
    ({ reason }) => reason.kind === 'school',
  );
  // Fifteen minutes of them, of twenty-five.
  expect(wide?.seconds).toBeGreaterThan(0.5 * 25 * 60);
  const routine = [3, 1, 2].map((daysAgo, i): RoutineItem => ({
    key: `own.${i}`,
    family: null,
    exerciseId: String(i),
    seconds: 250,
    lastAt: NOW - daysAgo * DAY_MS,
  }));
  const own = todaySheet(request({ aim: 'own', routine }));
  expect(own.map(({ key }) => key)).toEqual(['own.0', 'own.2', 'free']);
  expect(own[0].reason).toEqual({ kind: 'routine', days: 3 });
});
