import fc from 'fast-check';
import { expect, it } from 'vitest';
import { hornById } from '../horn/index.ts';
import {
  DYNAMIC_MARKS,
  familyById,
  movedTo,
  painted,
  parseExercise,
  phraseBeats,
  transposed,
  withLength,
} from './index.ts';

const phraseOf = (id: string, choices = {}) => {
  const exercise = familyById(id)?.build(hornById('alto'), choices);
  if (!exercise) throw new Error(id);
  return { exercise, phrase: exercise.phrases[0] };
};
const anyPhrase = fc
  .constantFrom(
    'pairedSwells',
    'alternatingSwells',
    'quietDescent',
    'vowelSweep',
    'octaveRestart',
    'mouthpieceAlone',
  )
  .map((id) => phraseOf(id));
const anyBrush = fc.array(
  fc.record({ beat: fc.double({ min: -2, max: 60, noNaN: true }), mark: fc.constantFrom(...DYNAMIC_MARKS) }),
  { maxLength: 60 },
);

it('leaves an exercise valid whatever is painted, stretched, moved or transposed', () => {
  fc.assert(
    fc.property(
      anyPhrase,
      anyBrush,
      fc.integer({ min: -12, max: 12 }),
      fc.integer({ min: 1, max: 40 }),
      ({ exercise, phrase }, brush, halfSteps, quarters) => {
        const edited = transposed(painted(phrase, brush), halfSteps);
        const items = movedTo(
          edited.items.map((item) => withLength(item, quarters / 4)),
          0,
          edited.items.length - 1,
        );
        const whole = { ...exercise, phrases: [{ ...edited, items }] };
        expect(parseExercise(JSON.parse(JSON.stringify(whole)))).toEqual(whole);
        expect(phraseBeats(whole.phrases[0])).toBeCloseTo((items.length * quarters) / 4, 9);
        expect(transposed(edited, -halfSteps).items).toEqual(painted(phrase, brush).items);
      },
    ),
    { seed: 6, numRuns: 200 },
  );
});

it('paints a hairpin as a hairpin, also over two notes, and leaves the rest as it was', () => {
  const { phrase } = phraseOf('alternatingSwells', { form: 'growFirst' });
  // From ppp at beat 8 (the second note begins there) to fff at beat 14, where it ends; a hand is never quite straight.
  const brush = Array.from({ length: 60 }, (_, i) => ({
    beat: 8 + i / 10,
    mark: DYNAMIC_MARKS[Math.min(7, Math.round((7 * i) / 59))],
  }));
  const { items } = painted(phrase, [...brush, { beat: 14, mark: 'fff' as const }]);
  expect(items[2]).toMatchObject({
    dynamics: [
      { beat: 0, mark: 'ppp' },
      { beat: 6, mark: 'fff' },
    ],
  });
  expect([items[0], items[4]]).toEqual([phrase.items[0], phrase.items[4]]);
  const { phrase: pair } = phraseOf('pairedSwells');
  const turned = painted(pair, [
    ...[0, 1, 2, 3, 4].map((beat) => ({ beat, mark: 'f' as const })),
    { beat: 8, mark: 'f' as const },
  ]);
  for (const item of turned.items)
    expect(item).toMatchObject({
      dynamics: [
        { beat: 0, mark: 'f' },
        { beat: 4, mark: 'f' },
      ],
    });
});
