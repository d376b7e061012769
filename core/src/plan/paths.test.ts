import { expect, it } from 'vitest';
import { familyById, PATH_IDS, STEPS_OF_PATH } from '../exercise/index.ts';
import { hornById, HORNS, writtenMidi } from '../horn/index.ts';
import { NO_FIGURES, type PractisedNote } from '../practice/index.ts';
import { usualRequest } from '../testing/usualRequest.ts';
import { learned } from './learned.ts';
import { PATHS, pathProgress } from './paths.ts';
import { buildLines, type SheetItem } from './sheetItems.ts';
import { todaySheet } from './todaySheet.ts';

const DAY_MS = 24 * 3600_000;
const DAYS = [1, 2, 3, 4, 5];

/** All notes of some lines, played on a day as written or not. */
function played(lines: readonly SheetItem[], horn: (typeof HORNS)[number], day: number, asWritten: boolean) {
  return lines.flatMap(({ family, choices }) => {
    const exercise = familyById(family)?.build(horn, choices);
    if (!exercise) return [];
    return exercise.phrases.flatMap(({ items, repeats }) =>
      Array.from({ length: repeats }, () => items).flatMap((each) =>
        each.flatMap((item, i): PractisedNote[] =>
          'writtenMidi' in item
            ? [
                {
                  family,
                  writtenMidi: item.writtenMidi,
                  fingeredMidi: writtenMidi(
                    (item.kind === 'note' ? item.fingered : null) ?? item.writtenMidi,
                  ),
                  day: new Date(day * DAY_MS).toISOString().slice(0, 10),
                  at: day * DAY_MS + 1000 * i,
                  seconds: 2,
                  asWritten,
                  figures: NO_FIGURES,
                },
              ]
            : [],
        ),
      ),
    );
  });
}

it('has six steps on every path, each of which can be got through on every horn by what it asks for, and by that alone', () => {
  for (const path of PATH_IDS) {
    expect(PATHS[path]).toHaveLength(STEPS_OF_PATH);
    PATHS[path].forEach(({ lines }, step) => {
      for (const horn of HORNS) {
        const which = `${path} ${step} ${horn.id}`;
        const onDay = (day: number, asWritten: boolean) =>
          played(buildLines(lines, horn, day), horn, day, asWritten);
        const items = buildLines(lines, horn, 1);
        expect(items.length, which).toBeGreaterThan(0);
        expect(new Set(items.map(({ key }) => key)).size, which).toBe(items.length);
        // A step is a part of a sheet of fifteen minutes.
        const seconds = items.reduce((sum, item) => sum + item.seconds, 0);
        expect(seconds, which).toBeLessThan(9 * 60);
        const place = { step, since: 0 };
        const good = DAYS.flatMap((day) => onDay(day, true));
        expect(pathProgress(path, place, good).isThrough, which).toBe(true);
        expect(
          pathProgress(
            path,
            place,
            DAYS.flatMap((day) => onDay(day, false)),
          ).isThrough,
          which,
        ).toBe(false);
        // One good day is not enough, nor what was played before the step began.
        expect(pathProgress(path, place, onDay(1, true)).isThrough, which).toBe(false);
        expect(pathProgress(path, { step, since: 6 * DAY_MS }, good).isThrough, which).toBe(false);
        // The next one tells what this one had asked for; whoever went on without it is told nothing.
        const next = { step: step + 1, since: 6 * DAY_MS };
        const { right, of } = PATHS[path][step].evidence;
        expect(pathProgress(path, next, good).passed, which).toEqual({ right, of });
        expect(pathProgress(path, next, onDay(7, true)).passed, which).toBeNull();
      }
    });
  }
});

it('leads the sheet: the lines of its step come first, with the step as their reason, whatever waits behind gates', () => {
  for (const aim of PATH_IDS)
    for (let step = 0; step < STEPS_OF_PATH; step++) {
      const sheet = todaySheet(
        usualRequest({ minutes: 15, aim, path: { step, since: 0 }, experience: 'firstYear' }),
      );
      const own = sheet.filter(({ reason }) => reason.kind === 'path');
      expect(own.length, `${aim} ${step}`).toBeGreaterThan(0);
      expect(own.every(({ reason }) => reason.kind === 'path' && reason.step === step)).toBe(true);
      const families = new Set(PATHS[aim][step].lines.map(({ family }) => family));
      expect(own.every(({ family }) => family !== null && families.has(family))).toBe(true);
    }
  // At its end the plan goes on by what is needed.
  const after = todaySheet(usualRequest({ aim: 'firstTone', path: { step: STEPS_OF_PATH, since: 0 } }));
  expect(after.some(({ reason }) => reason.kind === 'path')).toBe(false);
  expect(after.length).toBeGreaterThan(4);
  expect(pathProgress('firstTone', { step: STEPS_OF_PATH, since: 0 }, []).isAtEnd).toBe(true);
});

it('builds every step on what the one before has shown: nothing waits behind a gate that the path has not opened', () => {
  const lowSteps = PATHS.lowRegister.map(({ lines }) => lines.map(({ family }) => familyById(family)?.gate));
  const first = lowSteps.findIndex((gates) => gates.includes('subtone'));
  expect(first).toBeGreaterThan(1);
  const highSteps = PATHS.towardHigh.map(({ lines }) => lines.map(({ family }) => familyById(family)?.gate));
  expect(highSteps.findIndex((gates) => gates.includes('altissimo'))).toBe(5);
  expect(PATHS.firstTone.flatMap(({ lines }) => lines.map(({ family }) => familyById(family)?.gate))).toEqual(
    expect.not.arrayContaining(['subtone', 'altissimo', 'overtones']),
  );
});

it('tells what it learned, most wanted first, and follows a wish against it', () => {
  const horn = hornById('alto');
  const hold = (midi: number, right: number) =>
    Array.from({ length: 8 }, (_, i): PractisedNote => ({
      family: 'longHold',
      writtenMidi: writtenMidi(midi),
      fingeredMidi: writtenMidi(midi),
      day: '1970-01-09',
      at: 8 * DAY_MS + i,
      seconds: 4,
      asWritten: i < right,
      figures: NO_FIGURES,
    }));
  const now = 10 * DAY_MS;
  const known = { now, dayStart: now, dayNumber: 10, history: [...hold(60, 2), ...hold(79, 8)] };
  const rows = learned(usualRequest({ horn, ...known }));
  expect(rows.map(({ need }) => need)).toEqual(rows.map(({ need }) => need).toSorted((a, b) => b - a));
  const [low, high] = (['low', 'high'] as const).map((zone) =>
    rows.find((row) => row.skill === 'hold' && row.zone === zone),
  );
  expect(low?.tally).toMatchObject({ judged: 8, asWritten: 2 });
  expect(high?.tally).toMatchObject({ judged: 8, asWritten: 8 });
  expect(low?.need).toBeGreaterThan(high?.need ?? 1);
  const lines = (wish: 'more' | 'less') =>
    todaySheet(
      usualRequest({ horn, ...known, minutes: 5, wishes: [{ skill: 'hold', zone: 'low', wish }] }),
    ).filter(({ familyAndZone, reason }) => familyAndZone === 'longHold/low' && reason.kind !== 'opening');
  expect(lines('more')).toHaveLength(1);
  expect(lines('less')).toHaveLength(0);
});
