import { describe, expect, it } from 'vitest';
import { writtenMidi } from '../horn/index.ts';
import { CELL_MEASURES, START_KINDS, type StartKind } from './cells.ts';
import { findingsOf, type FindingsRequest } from './findings.ts';
import type { NoteTendency, TendencyMap } from './fitMap.ts';
import type { NoteSums, Starts } from './noteSums.ts';

// Where a finding begins to be one: figures set by hand on either side of each bound.

type Tries = Partial<Record<`${StartKind}${'Soft' | 'Loud'}`, readonly [failed: number, tries: number]>>;
type Measures = Partial<NoteSums['measures']>;

const starts = (tries: Tries): NoteSums['starts'] => {
  const told = (name: keyof Tries): Starts => {
    const [failed, of] = tries[name] ?? [0, 0];
    return { tries: of, failed };
  };
  return Object.fromEntries(
    START_KINDS.map((kind) => [kind, { soft: told(`${kind}Soft`), loud: told(`${kind}Loud`) }]),
  ) as NoteSums['starts'];
};
const note = (midi: number, tries: Tries = {}, measures: Measures = {}): NoteSums => ({
  writtenMidi: writtenMidi(midi),
  measures: {
    ...(Object.fromEntries(CELL_MEASURES.map((name) => [name, null])) as NoteSums['measures']),
    ...measures,
  },
  softest: null,
  loudest: null,
  starts: starts(tries),
});
const NO_MAP: TendencyMap = {
  notes: [],
  covariance: new Float64Array(),
  warmUp: null,
  spread: { within: 4, cell: 4, day: 6 },
};
const found = (request: Partial<FindingsRequest>) =>
  findingsOf({ map: NO_MAP, sums: [], ...request }).map(({ cause, confidence }) => `${cause} ${confidence}`);
const low = (tries: Tries) => [note(58, tries), note(68)];

describe('beginnings of the bell notes', () => {
  it.each<[string, readonly NoteSums[], string[]]>([
    ['fail however begun', low({ tonguedLoud: [8, 8], breathLoud: [8, 8] }), ['bellNotesFail some']],
    ['failed in seven tries only', low({ tonguedLoud: [7, 7], breathLoud: [7, 7] }), []],
    ['failed in twenty', low({ tonguedLoud: [12, 20], breathLoud: [12, 20] }), ['bellNotesFail good']],
    ['failed in a third: no more than is usual', low({ tonguedLoud: [10, 30], breathLoud: [10, 30] }), []],
    [
      'fail, and so do those of the middle: it is not the bell',
      [note(58, { tonguedLoud: [8, 8], breathLoud: [8, 8] }), note(68, { anyLoud: [8, 8] })],
      [],
    ],
    [
      'fail tongued and speak by breath',
      low({ tonguedLoud: [8, 10], breathLoud: [0, 10] }),
      ['onlyTongued some'],
    ],
    ['fail tongued, by breath now and then', low({ tonguedLoud: [8, 10], breathLoud: [2, 10] }), []],
    ['fail by breath and speak tongued: usual', low({ tonguedLoud: [0, 10], breathLoud: [8, 10] }), []],
    ['fail soft and speak loud', low({ anySoft: [8, 10], anyLoud: [0, 10] }), ['onlySoft some']],
    ['fail loud and speak soft', low({ anySoft: [0, 10], anyLoud: [8, 10] }), []],
    [
      'several notes together make the tries',
      [58, 59, 60, 61].map((midi) => note(midi, { tonguedSoft: [2, 2], breathSoft: [2, 2] })),
      ['bellNotesFail some'],
    ],
    ['a note over the bell is none of them', [note(62, { tonguedLoud: [8, 8], breathLoud: [8, 8] })], []],
  ])('%s', (_, sums, wanted) => {
    expect(found({ sums })).toEqual(wanted);
  });
});

describe('what is since a reed', () => {
  const since = (before: readonly [number, number], after: readonly [number, number]) =>
    found({ sinceReed: { before: low({ anyLoud: before }), after: low({ anyLoud: after }) } });

  it('fails now and spoke before', () => {
    expect(since([0, 20], [12, 20])).toEqual(['sinceReed good']);
    expect(since([0, 10], [6, 10])).toEqual(['sinceReed some']);
  });
  it('is nothing where it failed before, speaks still, or was hardly played', () => {
    expect(since([12, 20], [12, 20])).toEqual([]);
    expect(since([0, 20], [1, 20])).toEqual([]);
    expect(since([0, 7], [12, 20])).toEqual([]);
    expect(since([0, 20], [7, 7])).toEqual([]);
    expect(found({ sinceReed: null })).toEqual([]);
    expect(found({ sinceReed: { before: low({ anyLoud: [0, 20] }), after: [] } })).toEqual([]);
  });
});

describe('tone of the registers', () => {
  const along = (from: number, measures: Measures, count = 3) =>
    Array.from({ length: count }, (_, i) => note(from + i, {}, measures));
  const MIDDLE = along(64, { levelDb: 0, noiseToHarmonicDb: -22 });

  it('calls low notes loud from 6 dB over the middle on, of three notes and more', () => {
    expect(found({ sums: [...along(58, { levelDb: 6.1 }), ...MIDDLE] })).toEqual(['lowNotesLoud good']);
    expect(found({ sums: [...along(58, { levelDb: 5.9 }), ...MIDDLE] })).toEqual([]);
    expect(found({ sums: [...along(58, { levelDb: 9 }, 2), ...MIDDLE] })).toEqual([]);
    expect(found({ sums: along(58, { levelDb: 9 }) })).toEqual([]);
  });

  it('calls the second register thin where it is both airier and softer', () => {
    const high = (levelDb: number, noiseToHarmonicDb: number) =>
      found({ sums: [...MIDDLE, ...along(74, { levelDb, noiseToHarmonicDb })] });
    expect(high(-3.1, -15.9)).toEqual(['secondRegisterThin good']);
    expect(high(-2.9, -15.9)).toEqual([]);
    expect(high(-3.1, -16.1)).toEqual([]);
  });
});

describe('pitch', () => {
  const tendency = (midi: number, cents: number, change: Partial<NoteTendency> = {}): NoteTendency => ({
    writtenMidi: writtenMidi(midi),
    days: 3,
    count: 9,
    placeError: 2,
    pitchSlopeCentsPer10Db: { cents: -6, error: 2 },
    at: () => ({ cents, error: 3 }),
    ...change,
  });
  const mapOf = (cents: (midi: number) => number, change: Partial<NoteTendency> = {}): TendencyMap => ({
    ...NO_MAP,
    notes: Array.from({ length: 12 }, (_, i) => tendency(60 + i, cents(60 + i), change)),
  });

  it('of one note stands out from 13 cents beside its neighbours on, where three days and a small error say so', () => {
    const odd = (by: number) => (midi: number) => (midi === 66 ? by : 0);
    expect(found({ map: mapOf(odd(14)) })).toEqual(['oneNoteOff some']);
    expect(found({ map: mapOf(odd(-14)) })).toEqual(['oneNoteOff some']);
    expect(found({ map: mapOf(odd(12)) })).toEqual([]);
    expect(found({ map: mapOf(odd(14), { days: 2 }) })).toEqual([]);
    expect(found({ map: mapOf(odd(14), { at: () => ({ cents: 14, error: 3 }) }) })).toEqual([]);
    const unsure = mapOf(odd(14));
    unsure.notes[6] = tendency(66, 14, { at: () => ({ cents: 14, error: 6 }) });
    expect(found({ map: unsure })).toEqual([]);
  });

  it('beside a border of registers has nothing to be compared with', () => {
    const notes = Array.from({ length: 12 }, (_, i) => tendency(68 + i, 68 + i === 74 ? 30 : 0));
    expect(found({ map: { ...NO_MAP, notes } })).toEqual([]);
    const before = Array.from({ length: 12 }, (_, i) => tendency(68 + i, 68 + i === 73 ? 30 : 0));
    expect(found({ map: { ...NO_MAP, notes: before } })).toEqual([]);
  });

  it('is sharp when soft where eight notes bend by clearly more than 13 cents each 10 dB', () => {
    const bend = (cents: number, error = 2) =>
      found({ map: mapOf(() => 0, { pitchSlopeCentsPer10Db: { cents, error } }) });
    expect(bend(-16)).toEqual(['sharpWhenSoft good']);
    // Within what is sure of it.
    expect(bend(-13.5)).toEqual([]);
    expect(bend(-16, 3.1)).toEqual([]);
    expect(bend(16)).toEqual([]);
    const few = mapOf(() => 0, { pitchSlopeCentsPer10Db: { cents: -16, error: 1 } });
    expect(found({ map: { ...few, notes: few.notes.slice(0, 7) } })).toEqual([]);
    expect(found({ map: { ...few, notes: few.notes.slice(0, 8) } })).toEqual(['sharpWhenSoft good']);
  });
});

it('puts what is surer first', () => {
  const sums = [
    note(58, { tonguedLoud: [8, 8], breathLoud: [8, 8] }, { levelDb: 9 }),
    ...[59, 60].map((midi) => note(midi, {}, { levelDb: 9 })),
    ...[64, 65, 66].map((midi) => note(midi, {}, { levelDb: 0 })),
  ];
  expect(found({ sums })).toEqual(['lowNotesLoud good', 'bellNotesFail some']);
});

it('keeps its key while its evidence is the same, and has another when it grew by half', () => {
  const key = (failed: number, tries: number) =>
    findingsOf({ map: NO_MAP, sums: low({ tonguedLoud: [failed, tries], breathLoud: [tries, tries] }) }).at(0)
      ?.key;
  expect(key(10, 20)).toBeDefined();
  expect(key(10, 20)).toBe(key(20, 40));
  expect(key(10, 20)).toBe(key(21, 40));
  expect(key(10, 20)).not.toBe(key(15, 20));
});
