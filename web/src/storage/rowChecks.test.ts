import { buildSwell } from '@inner-hum/core/exercise';
import { writtenMidi } from '@inner-hum/core/horn';
import { expect, it } from 'vitest';
import { ownAddress } from './ownAddress.ts';
import { faultOfRow } from './rowChecks.ts';
import type { OwnTable } from './tables.ts';
import { TEST_TAKE, testContext } from './testTake.ts';

// Rows of the smaller tables as an archive may bring them; takes have doors of their own (doors/).

const exercise = buildSwell({
  note: writtenMidi(67),
  shape: 'growFade',
  beats: 4,
  tempoBpm: 60,
  start: 'countIn',
});
const NOW = Date.UTC(2026, 2, 14);

/** One good row a table. */
const GOOD = {
  rounds: { id: 'r', startedAt: NOW, hornId: 'alto', exercise, address: '/stand/drill/swell?note=67' },
  exercises: { id: 'e', exercise, createdAt: NOW, changedAt: NOW, deletedAt: null },
  tasks: {
    id: 'k',
    from: 'the teacher',
    note: 'softly',
    byDay: null,
    items: [
      { family: 'longHold', choices: { note: 60 }, exerciseId: null },
      { family: null, choices: {}, exerciseId: 'own-1' },
    ],
    path: { id: 'lowRegister', step: 2 },
    createdAt: NOW,
    doneAt: null,
    deletedAt: null,
  },
  aims: {
    id: 'a',
    hornId: 'alto',
    text: 'soft low notes',
    goal: {
      measure: 'responseMs',
      target: 60,
      wants: 'less',
      scope: { midi: null, zone: 'low', family: null },
    },
    byDay: '2026-12-24',
    createdAt: NOW,
    doneAt: null,
  },
  trials: {
    id: 't',
    hornId: 'alto',
    createdAt: NOW,
    question: 'own',
    measure: 'responseMs',
    tone: 'softStart',
    writtenMidi: 58,
    cues: { a: 'high', b: 'far' },
    attacks: { a: 'any', b: 'breath' },
    pairs: 8,
    deletedAt: null,
  },
  dayNotes: { day: '2026-03-14', text: 'cold room', temperatureC: 17.5 },
  calibrations: {
    id: 'c',
    madeAt: NOW,
    roomFloorDb: -60,
    scale: { floorDb: -46, ceilingDb: -16 },
    roundTripSeconds: null,
  },
} as const satisfies Partial<Record<OwnTable, object>>;

it.each(Object.entries(GOOD))('takes a good row of %s', (table, row) => {
  expect(faultOfRow(table as OwnTable, row)).toBeNull();
});

it('takes an aim by no day', () => {
  expect(faultOfRow('aims', { ...GOOD.aims, byDay: null })).toBeNull();
});

const aim = GOOD.aims;
const [phrase] = exercise.phrases;
const withItem = (change: object) => ({
  exercise: { ...exercise, phrases: [{ ...phrase, items: [{ ...phrase.items[0], ...change }] }] },
});

it.each<[keyof typeof GOOD, string, object]>([
  ['rounds', 'an address of another place', { address: 'https://example.org/' }],
  ['rounds', 'an address without a scheme', { address: '//example.org/stand' }],
  ['rounds', 'an address that is code', { address: 'javascript:alert(1)' }],
  ['rounds', 'an address that climbs', { address: '/stand/../../evil' }],
  ['rounds', 'a time after all times', { startedAt: 8.64e15 }],
  ['rounds', 'no exercise', { exercise: 'gone' }],
  ['exercises', 'phrases that are none', { exercise: { phrases: [null] } }],
  ['exercises', 'items that are none', { exercise: { ...exercise, phrases: [{ items: [null] }] } }],
  ['exercises', 'an item of no kind', withItem({ kind: 'song' })],
  ['exercises', 'a note longer than any', withItem({ lengthBeats: 1e9 })],
  ['exercises', 'a note of no length', withItem({ lengthBeats: 0 })],
  ['exercises', 'a note between two', withItem({ writtenMidi: 60.5 })],
  ['exercises', 'a mark that is none', withItem({ dynamics: [{ beat: 0, mark: 'loud' }] })],
  ['rounds', 'an exercise whose rest is missing', { exercise: { ...exercise, rest: undefined } }],
  ['exercises', 'a rest of no length', { exercise: { ...exercise, rest: { kind: 'beats' } } }],
  ['exercises', 'a family that is a list', { exercise: { ...exercise, family: ['x'] } }],
  ['exercises', 'a note without a pitch', withItem({ writtenMidi: undefined })],
  ['exercises', 'a note fingered as nothing', withItem({ fingered: undefined })],
  ['exercises', 'a note of no loudness', withItem({ dynamics: [] })],
  ['exercises', 'a bend that is none', withItem({ bend: [null] })],
  ['exercises', 'phrases without end', { exercise: { ...exercise, phrases: [{ ...phrase, repeats: 1e6 }] } }],
  ['aims', 'a figure that is none', { goal: { ...aim.goal, measure: 'luck' } }],
  ['aims', 'a zone that is none', { goal: { ...aim.goal, scope: { ...aim.goal.scope, zone: 'cellar' } } }],
  ['aims', 'a target that is no number', { goal: { ...aim.goal, target: Number.NaN } }],
  ['aims', 'a day that is none', { byDay: '2026-02-30' }],
  ['aims', 'no goal', { goal: null }],
  ['tasks', 'a drill that is none', { items: [{ family: 'juggling', choices: {}, exerciseId: null }] }],
  ['tasks', 'thirteen things', { items: Array(13).fill({ family: null, choices: {}, exerciseId: 'x' }) }],
  ['tasks', 'a step that is none', { path: { id: 'lowRegister', step: 6 } }],
  ['tasks', 'a note without end', { note: 'x'.repeat(501) }],
  ['tasks', 'no items', { items: null }],
  ['trials', 'a question that is none', { question: 'why' }],
  ['trials', 'a figure that is none', { measure: 'luck' }],
  ['trials', 'more pairs than a life has', { pairs: 1e6 }],
  ['trials', 'a note that is none', { writtenMidi: -1 }],
  ['dayNotes', 'a day that is none', { day: '2026-13-01' }],
  ['dayNotes', 'a day before there were any', { day: '0001-01-01' }],
  ['dayNotes', 'a temperature that is none', { temperatureC: Infinity }],
  ['calibrations', 'a scale of no width', { scale: { floorDb: -20, ceilingDb: -20 } }],
  ['calibrations', 'a scale upside down', { scale: { floorDb: -10, ceilingDb: -40 } }],
  ['calibrations', 'a room that is no number', { roomFloorDb: 'quiet' }],
])('refuses a row of %s with %s', (table, _, change) => {
  expect(faultOfRow(table, { ...GOOD[table], ...change })).not.toBeNull();
});

it('says what is wrong in a sentence, however long what stands there is', () => {
  const fault = faultOfRow('dayNotes', { ...GOOD.dayNotes, temperatureC: 'x'.repeat(70_000) });
  expect(fault).toMatch(/^temperatureC/);
  expect(fault?.length).toBeLessThan(300);
});

it('says what is wrong with a take whose exercise has no end, without playing it through', () => {
  const endless = { ...exercise, phrases: [{ ...phrase, repeats: 1e7 }] };
  const take = {
    ...TEST_TAKE,
    state: 'kept',
    context: testContext(endless),
    analysis: { items: [], verdict: { of: [], findings: [], measures: {} } },
  };
  // Written out it would be ten million items.
  expect(faultOfRow('takes', take)).not.toBeNull();
});

it('names the field that is wrong, whatever else is', () => {
  const take = { ...TEST_TAKE, state: 'kept', context: { exercise: 'gone' }, analysis: { items: 3 } };
  expect(faultOfRow('takes', take)).toMatch(/^(analysis|context)/);
});

it('knows its own addresses, and links to no others', () => {
  for (const own of [
    '/stand',
    '/stand/swell?note=67&shape=growFade',
    '/stand/own/0b2c-4',
    '/stand/drill/fifths?softs=58.pp~60.p',
  ])
    expect(ownAddress(own)).toBe(own);
  for (const foreign of [
    'stand',
    '/takes',
    '//example.org',
    '/stand//example.org',
    '/stand?a=1?b=2',
    '/stand#x',
    '/stand/<b>',
    `/stand?${'x'.repeat(5000)}`,
    null,
    {},
  ])
    expect(ownAddress(foreign), String(foreign)).toBeNull();
});
