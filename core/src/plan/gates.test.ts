import fc from 'fast-check';
import { expect, it } from 'vitest';
import { EXPERIENCES, FAMILIES, familyById, GATES, type FamilyId, type Gate } from '../exercise/index.ts';
import { hornById, HORN_IDS, writtenMidi } from '../horn/index.ts';
import { NO_FIGURES, type PractisedNote } from '../practice/index.ts';
import { createRandom } from '../signal/index.ts';
import { usualRequest } from '../testing/usualRequest.ts';
import { gateOf, gateStates } from './gates.ts';
import { todaySheet } from './todaySheet.ts';

const DAY_MS = 24 * 3600_000;

/** Tries of a family on a note, a minute apart, as written or not. */
function tries(family: FamilyId, fingered: number, written: number, at: number, went: readonly boolean[]) {
  return went.map((asWritten, i): PractisedNote => ({
    family,
    writtenMidi: writtenMidi(written),
    fingeredMidi: writtenMidi(fingered),
    day: new Date(at).toISOString().slice(0, 10),
    at: at + 60_000 * i,
    seconds: 3,
    asWritten,
    figures: NO_FIGURES,
  }));
}
const went = (right: number, of: number) => Array.from({ length: of }, (_, i) => i < right);
const open = (history: readonly PractisedNote[], experience: (typeof EXPERIENCES)[number] = 'firstYear') =>
  gateStates(history, experience, [])
    .filter(({ isOpen }) => isOpen)
    .map(({ gate }) => gate);

it('knows the family of every gate, on a horn that has room for it', () => {
  for (const gate of GATES) {
    const families = (
      [
        'subtoneLine',
        'fullToSubtone',
        'wideningDown',
        'alternatingSwells',
        'highTries',
        'highHold',
        'overtoneHits',
        'alternation',
      ] as const
    )

      .map((id) => familyById(id))
      .filter((family) => family?.gate === gate);
    expect(families.length, gate).toBe(gate === 'palm' ? 0 : 2);
  }
  for (const id of ['swell', 'longHold', 'airThenNote', 'fullScales'] as const)
    expect(familyById(id)?.gate ?? null).toBeNull();
});

it.each<[string, PractisedNote[], Gate[]]>([
  ['nothing played', [], []],
  ['soft low notes that speak', tries('airThenNote', 58, 58, 0, went(6, 8)), ['subtone']],
  ['soft low notes that mostly fail', tries('airThenNote', 58, 58, 0, went(4, 8)), []],
  ['soft notes of the middle', tries('airThenNote', 67, 67, 0, went(8, 8)), []],
  ['a few soft low notes', tries('airThenNote', 58, 58, 0, went(3, 3)), []],
  ['single swells that are even', tries('swell', 67, 67, 0, went(6, 8)), ['widening']],
  ['the third partial of low B flat', tries('overtoneHits', 58, 77, 0, went(7, 10)), ['altissimo']],
  ['the fourth partial of low B', tries('overtoneClimb', 59, 83, 0, went(9, 10)), ['altissimo']],
  ['the octave alone', tries('overtoneHits', 58, 70, 0, went(10, 10)), []],
  ['the third partial of D', tries('overtoneHits', 62, 81, 0, went(10, 10)), []],
])('%s opens %j %j', (_, history, gates) => {
  expect(open(history)).toEqual(gates);
});

it('stays open whatever comes after, and opens by a wish at once', () => {
  const good = tries('swell', 67, 67, 0, went(8, 8));
  const bad = tries('swell', 67, 67, DAY_MS, went(0, 40));
  expect(open([...bad, ...good])).toEqual(['widening']);
  expect(gateStates(good, 'firstYear', []).filter(({ isEarned }) => isEarned)).toHaveLength(1);
  expect(gateStates(good, 'advanced', []).some(({ isEarned }) => isEarned)).toBe(false);
  expect(gateStates([], 'firstYear', ['altissimo']).find(({ gate }) => gate === 'altissimo')).toMatchObject({
    isOpen: true,
    right: 0,
  });
});

it('asks a player of some years for altissimo alone, an advanced one and one who was not asked for nothing', () => {
  expect(open([], 'someYears')).toEqual(['overtones', 'palm', 'subtone', 'widening']);
  expect(open([], 'advanced')).toEqual([...GATES]);
  expect(gateStates([], null, []).every(({ isOpen }) => isOpen)).toBe(true);
});

it('counts how far a closed gate is', () => {
  const states = gateStates(tries('airThenNote', 58, 58, 0, went(3, 5)), 'firstYear', []);
  expect(states.find(({ gate }) => gate === 'subtone')).toEqual({
    gate: 'subtone',
    isOpen: false,
    isEarned: false,
    right: 3,
    of: 5,
    wanted: { right: 6, of: 8 },
  });
});

it('puts nothing on a beginner’s sheet whose gate is closed, on any horn, day, school or history', () => {
  const schools = ['zones', 'overtones', 'low', 'line'] as const;
  fc.assert(
    fc.property(
      fc.constantFrom(...HORN_IDS),
      fc.constantFrom(5, 10, 20, 30),
      fc.constantFrom(...schools),
      fc.integer({ min: 0, max: 400 }),
      fc.nat({ max: 1e6 }),
      (hornId, minutes, aim, dayNumber, seed) => {
        const random = createRandom(seed);
        const now = dayNumber * DAY_MS;
        const history = (['swell', 'airThenNote', 'overtoneHits', 'longHold'] as const).flatMap((family) =>
          tries(family, 58, family === 'overtoneHits' ? 77 : 58, now - DAY_MS, [
            ...Array.from({ length: 12 }, () => random.uniform() < 0.6),
          ]),
        );
        const horn = hornById(hornId);
        const sheet = todaySheet(
          usualRequest({
            horn,
            minutes,
            aim,
            history,
            dayNumber,
            now,
            dayStart: now,
            experience: 'firstYear',
          }),
        );
        const shut = gateStates(history, 'firstYear', []).filter(({ isOpen }) => !isOpen);
        for (const { item } of sheet)
          if (item) expect(shut.map(({ gate }) => gate)).not.toContain(gateOf(item));
      },
    ),
    { numRuns: 150 },
  );
});

it('lets through what the player wishes: an own aim, a school, a gate opened by hand', () => {
  // Every drill was met before: none is left out for being new.
  const history = FAMILIES.flatMap(({ id }) => tries(id, 67, 67, -5 * DAY_MS, [true]));
  const sheet = (change: Parameters<typeof usualRequest>[0]) =>
    todaySheet(usualRequest({ minutes: 30, experience: 'firstYear', history, ...change })).map(
      ({ family }) => family,
    );
  expect(sheet({})).not.toContain('highTries');
  expect(sheet({ openGates: ['altissimo'] })).toContain('highTries');
  expect(sheet({ aim: 'family', family: 'fullToSubtone' })).toContain('fullToSubtone');
  const focus = [{ skill: 'subtone' as const, zone: null, midi: null, family: null }];
  expect(sheet({ focus }).some((family) => family !== null && familyById(family)?.gate === 'subtone')).toBe(
    true,
  );
});
