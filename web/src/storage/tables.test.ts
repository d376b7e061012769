import fc from 'fast-check';
import { expect, it } from 'vitest';
import { mergeRow } from './tables.ts';

// What is kept where a row is here and the same one comes from an archive.

const take = (change: object) => ({ id: 'a', playerNote: '', call: null, deletedAt: null, ...change });

it('keeps a take that either side still has, and deletes only what both have deleted', () => {
  for (const [ours, theirs, kept] of [
    [null, null, null],
    [5, null, null],
    [null, 7, null],
    [5, 7, 5],
  ] as const)
    expect(
      mergeRow('takes', take({ deletedAt: ours }), take({ deletedAt: theirs })),
      `${ours} here, ${theirs} there`,
    ).toMatchObject({ deletedAt: kept });
});

it('loses nothing that was written or said of a take on either side', () => {
  const merged = (ours: object, theirs: object) => mergeRow('takes', take(ours), take(theirs));
  expect(merged({ playerNote: 'stiff' }, { playerNote: 'cold room' })).toMatchObject({
    playerNote: 'stiff\ncold room',
  });
  expect(merged({ playerNote: 'stiff reed' }, { playerNote: 'stiff' })).toMatchObject({
    playerNote: 'stiff reed',
  });
  expect(merged({ playerNote: '' }, { playerNote: 'stiff' })).toMatchObject({ playerNote: 'stiff' });
  const [soft, loud] = [{ soft: 'sharp' }, { loud: 'flat' }];
  expect(merged({ call: soft }, { call: loud })).toMatchObject({ call: soft });
  expect(merged({ call: null }, { call: loud })).toMatchObject({ call: loud });
});

it('keeps what was changed last of exercises and fingerings, and ours where that is even', () => {
  for (const table of ['exercises', 'highFingerings'] as const) {
    const row = (from: string, changedAt: number) => ({ id: 'a', from, changedAt });
    expect(mergeRow(table, row('here', 1), row('there', 2))).toMatchObject({ from: 'there' });
    expect(mergeRow(table, row('here', 2), row('there', 1))).toMatchObject({ from: 'here' });
    expect(mergeRow(table, row('here', 1), row('there', 1))).toMatchObject({ from: 'here' });
  }
});

it('puts days, reeds and aims together, and leaves alone what has no rule', () => {
  expect(
    mergeRow(
      'dayNotes',
      { day: 'd', text: 'one', temperatureC: null },
      { day: 'd', text: 'two', temperatureC: 21 },
    ),
  ).toEqual({ day: 'd', text: 'one\ntwo', temperatureC: 21 });
  const reed = (retiredAt: number | null, ...remarks: object[]) => ({ id: 'r', retiredAt, remarks });
  const [early, late] = [
    { at: 1, text: 'fresh' },
    { at: 2, text: 'tired' },
  ];
  expect(mergeRow('reeds', reed(null, late), reed(9, early, late))).toEqual(reed(9, early, late));
  // Two remarks of one moment are two; one text at two moments likewise.
  expect(mergeRow('reeds', reed(null, early), reed(null, { at: 1, text: 'soft' }))).toMatchObject({
    remarks: { length: 2 },
  });
  expect(mergeRow('reeds', reed(null, early), reed(null, { at: 3, text: 'fresh' }))).toMatchObject({
    remarks: { length: 2 },
  });
  expect(mergeRow('aims', { id: 'z', doneAt: null }, { id: 'z', doneAt: 4 })).toMatchObject({ doneAt: 4 });
  expect(mergeRow('aims', { id: 'z', doneAt: 3 }, { id: 'z', doneAt: 4 })).toMatchObject({ doneAt: 3 });
  const ours = { id: 'm', name: 'here' };
  expect(mergeRow('mouthpieces', ours, { id: 'm', name: 'there' })).toBe(ours);
});

it('changes nothing where the same is merged again', () => {
  const row = fc.record({
    id: fc.constant('a'),
    playerNote: fc.constantFrom('', 'a', 'b', 'a\nb', 'long words'),
    call: fc.constantFrom(null, { soft: 'sharp' }),
    deletedAt: fc.constantFrom(null, 1, 2),
  });
  fc.assert(
    fc.property(row, row, (ours, theirs) => {
      const once = mergeRow('takes', ours, theirs);
      expect(mergeRow('takes', once, theirs)).toEqual(once);
      expect(mergeRow('takes', ours, ours)).toEqual(ours);
    }),
  );
});
