import { expect, it } from 'vitest';
import { hornById } from '../../horn/index.ts';
import { completeChoices, familyById, readSofts, softsWord } from '../index.ts';
import type { Choices, FamilyId } from '../index.ts';

const alto = hornById('alto');
function built(id: FamilyId, choices: Choices) {
  const family = familyById(id);
  if (!family) throw new Error(id);
  return family.build(alto, choices);
}

/** Written notes of each phrase. */
const phrasesOf = (choices: Choices) =>
  built('breakDrill', choices).phrases.map(({ items }) =>
    items.map((item) => (item.kind === 'note' ? item.writtenMidi : item.kind)),
  );

it('goes over the break in the order the player gives, or as is usual', () => {
  const [E_D, F_E_D, C_D_REST, C_D] = [
    [76, 74],
    [77, 76, 74],
    [72, 'rest', 74],
    [72, 74],
  ];
  expect(phrasesOf({})).toEqual([E_D, F_E_D, C_D_REST, C_D]);
  expect(phrasesOf({ path: 'fromBelow' })).toEqual([C_D_REST, C_D, E_D, F_E_D]);
  expect(phrasesOf({ order: 'slurUp.twoDown' })).toEqual([C_D, E_D]);
  // What is no pattern, or comes twice, is left out; of nothing that is left all are played.
  expect(phrasesOf({ order: 'overRest.nothing.overRest' })).toEqual([C_D_REST]);
  expect(phrasesOf({ order: 'nothing' })).toHaveLength(4);
  expect(built('breakDrill', { order: 'slurUp', tries: 3 }).phrases[0].repeats).toBe(3);
});

it('begins each note at the softest that speaks on it, never louder than the loud end', () => {
  const choices = { note: 60, to: 62, shape: 'growFade', soft: 'mp', loud: 'f', softs: '60-ppp.62-fff.61' };
  const marks = built('chromaticTones', choices).phrases.map(({ items: [item] }) =>
    item.kind === 'note' ? item.dynamics.map(({ mark }) => mark) : [],
  );
  expect(marks).toEqual([
    ['ppp', 'f', 'ppp'],
    ['mp', 'f', 'mp'],
    ['f', 'f', 'f'],
  ]);
});

it('reads such marks from an address, and what is none is left out', () => {
  expect(readSofts('60-pp.61-loud.x-p.62-mf.-p')).toEqual(
    new Map([
      [60, 'pp'],
      [62, 'mf'],
    ]),
  );
  expect(softsWord(readSofts('62-mf.60-pp'))).toBe('62-mf.60-pp');
  const options = familyById('chromaticTones')?.options(alto) ?? {};
  expect(completeChoices(options, { softs: '60-pp.61-loud' })).toMatchObject({ softs: '60-pp' });
  expect(completeChoices(options, { softs: 7 })).toMatchObject({ softs: '' });
});
