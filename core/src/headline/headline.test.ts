import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULT_SCALE, FAMILIES, phraseExercise, type Exercise } from '../exercise/index.ts';
import { HORN_IDS, hornById } from '../horn/index.ts';
import type { ItemMeasures } from '../judge/index.ts';
import { runRow } from '../verdicts/index.ts';
import {
  clicksIn,
  headlineOf,
  recordOf,
  STATEMENTS,
  wordingOf,
  type PlayedTake,
  type Statement,
} from './index.ts';

/** A drill as it is written, played by the simulated player's truth. */
function playedOf(family: (typeof FAMILIES)[number]['id'], phrase = 0, choices = {}): PlayedTake {
  const hornId =
    HORN_IDS.find((id) => FAMILIES.find((each) => each.id === family)?.options(hornById(id))) ?? 'alto';
  const row = { family, hornId, phrase, choices, played: 'as written', wanted: 'passes' } as const;
  const { written, analysis } = runRow(row, 'truth');
  if (!analysis) throw new Error(`${family}: nothing was heard`);
  return { exercise: written, hornId, scale: DEFAULT_SCALE, analysis };
}

const kindsOf = (statements: readonly Statement[]) => statements.map(({ kind }) => kind);

/** Every number of a statement, with those inside. */
const numbersOf = (value: unknown): number[] =>
  typeof value === 'number'
    ? [value]
    : typeof value === 'object' && value !== null
      ? Object.values(value).flatMap(numbersOf)
      : [];

describe('a headline', () => {
  it('has a wording for whatever it says, of every family', () => {
    for (const { id } of FAMILIES) {
      const { statements } = headlineOf([playedOf(id)]);
      expect(statements.length, id).toBeGreaterThan(0);
      for (const statement of statements) {
        const form = wordingOf(statement).slice(statement.kind.length);
        expect(STATEMENTS[statement.kind].forms, `${id}: ${statement.kind}`).toContain(form);
      }
    }
  });

  it('is never empty and never holds what was not measured, whatever figures are missing', () => {
    const takes = FAMILIES.map(({ id }) => playedOf(id));
    fc.assert(
      fc.property(
        fc.constantFrom(...takes),
        fc.integer({ min: 1, max: 5 }),
        fc.integer(),
        (take, every, salt) => {
          let count = salt;
          const items = take.analysis.items.map((item) => {
            if (item.kind !== 'note' || !item.measures) return item;
            const kept = Object.entries(item.measures).map(([name, value]) => [
              name,
              count++ % every === 0 && name !== 'stairs' ? null : value,
            ]);
            return { ...item, measures: Object.fromEntries(kept) as ItemMeasures };
          });
          const { statements, faults } = headlineOf([{ ...take, analysis: { items } }]);
          expect(statements.length + faults.length).toBeGreaterThan(0);
          for (const number of numbersOf(statements)) expect(Number.isFinite(number)).toBe(true);
          for (const statement of statements)
            expect(STATEMENTS[statement.kind].forms).toContain(
              wordingOf(statement).slice(statement.kind.length),
            );
        },
      ),
      { numRuns: 400 },
    );
  });

  it('asks an exercise of nobody’s family what its notes ask', () => {
    const own = (take: PlayedTake, family: Exercise['family'] = null): PlayedTake => ({
      ...take,
      exercise: { ...take.exercise, family },
    });
    const asked = (id: (typeof FAMILIES)[number]['id'], phrase = 0) =>
      kindsOf(headlineOf([own(playedOf(id, phrase))]).statements)[0];
    expect(asked('longHold')).toBe('held');
    expect(asked('fullToSubtone')).toBe('subtone');
    expect(asked('swell')).toBe('swell');
    expect(asked('pairedSwells')).toBe('worstSwell');
    expect(asked('fullScales')).toBe('line');
    expect(asked('chromaticTones')).toBe('steady');
    expect(asked('voicingDrop')).toBe('bent');
    expect(asked('overtoneCascade')).toBe('slurred');
    // A family of another version is one of those.
    const foreign = own(playedOf('longHold'), 'holdOnTheMoon');
    expect(kindsOf(headlineOf([foreign]).statements)).toEqual(['held']);
    expect(headlineOf([])).toEqual({ statements: [], faults: [] });
  });
});

describe('a record', () => {
  const hold = playedOf('longHold', 0, { beats: 12 });
  const told = (take: PlayedTake, past: readonly number[]) =>
    headlineOf([take], past)
      .statements.filter(({ kind }) => ['lastTime', 'best', 'isBest'].includes(kind))
      .map((statement) =>
        'figure' in statement ? `${statement.kind} ${Math.round(statement.figure)}` : statement.kind,
      );

  it('is told beside the last time and the best, in clicks of this tempo', () => {
    expect(recordOf(hold)).toMatchObject({ wants: 'more' });
    expect(recordOf(hold)?.value).toBeCloseTo(12, 0);
    expect(told(hold, [])).toEqual([]);
    expect(told(hold, [9.1])).toEqual(['lastTime 9', 'isBest']);
    expect(told(hold, [14.2, 9.1])).toEqual(['lastTime 9', 'best 14']);
    expect(told(hold, [9.1, 14.2])).toEqual(['lastTime 14']);
    expect(told(hold, [12.1])).toEqual(['lastTime 12']);
    // Twice as fast there are twice as many clicks in the same seconds.
    const faster = playedOf('longHold', 0, { beats: 16, tempoBpm: 120 });
    expect(told(faster, [14.2, 4.1])).toEqual(['lastTime 8', 'best 28']);
  });

  it('is the least where less is better', () => {
    const match = playedOf('overtoneMatch');
    const db = recordOf(match)?.value ?? NaN;
    expect(recordOf(match)?.wants).toBe('less');
    expect(told(match, [db + 2])).toEqual([`lastTime ${Math.round(db + 2)}`, 'isBest']);
    expect(told(match, [0, db + 3])).not.toContain('isBest');
  });

  it('is of the best try of a round, and of no drill that is not compared', () => {
    const short = playedOf('longHold', 0, { beats: 4 });
    expect(told(hold, [10])).toEqual(told(hold, [10]));
    const round = headlineOf([short, hold], [10]).statements;
    expect(round).toContainEqual(expect.objectContaining({ kind: 'held', count: 12 }));
    expect(kindsOf(round)).toContain('isBest');
    expect(recordOf(playedOf('fullScales'))).toBeNull();
    expect(kindsOf(headlineOf([playedOf('fullScales')], [3, 4]).statements)).toEqual(['line']);
  });
});

it('counts whole clicks, a quarter early forgiven', () => {
  expect([0.2, 0.7, 0.76, 1, 4.74, 4.76, 11.86, 12.1].map(clicksIn)).toEqual([0, 0, 1, 1, 4, 5, 12, 12]);
});

it('draws the sides of a comparison anew, and the same from the same draw', () => {
  const lips = FAMILIES.find(({ id }) => id === 'lipPositions');
  const sides = (draw: number) =>
    lips
      ?.build(hornById('alto'), { tries: 8 }, draw)
      .phrases.map(({ items }) =>
        items.flatMap((item) => (item.kind === 'air' ? (item.words?.[0].text ?? '') : [])).join(''),
      )
      .join(' ');
  expect(sides(5)).toBe(sides(5));
  expect(new Set(Array.from({ length: 20 }, (_, draw) => sides(draw))).size).toBeGreaterThan(10);
  for (let draw = 0; draw < 20; draw++) expect(sides(draw)).toMatch(/^((AB|BA) ?){8}$/);
  expect(phraseExercise(lips?.build(hornById('alto')) as Exercise, 0).phrases).toHaveLength(1);
});
