import { describe, expect, it } from 'vitest';
import type { DynamicMark } from '../exercise/index.ts';
import { runRow } from '../verdicts/index.ts';
import { flat, marked, notes } from '../verdicts/verdictTable.ts';

type Row = Parameters<typeof runRow>[0];
const measuresOf = (row: Partial<Row> & Pick<Row, 'family'>) =>
  (runRow({ hornId: 'alto', played: '', wanted: 'passes', ...row }, 'truth').analysis?.items ?? []).map(
    (item) => (item.kind === 'note' ? item.measures : null),
  );

describe('fallDb', () => {
  const falls = (change?: Row['change']) =>
    measuresOf({ family: 'quietDescent', ...(change && { change }) }).map(
      (measures) => measures?.fallDb ?? null,
    );

  it('is told of the last note of a written fall alone, and is the way it went', () => {
    const [first, second, third, last] = falls();
    expect([first, second, third]).toEqual([null, null, null]);
    expect(last).toBeGreaterThan(10);
    expect(last).toBeLessThan(16);
  });

  it('is nothing where nothing falls, and less than nothing where the end is louder', () => {
    expect(Math.abs(falls(flat('mf'))[3] ?? 99)).toBeLessThan(0.5);
    expect(falls(marked(3, 'ff', 'ff'))[3]).toBeLessThan(-2);
  });

  it('is not asked of swells, nor of a drill that is written to stay', () => {
    for (const family of ['pairedSwells', 'fullToSubtone', 'alternatingSwells'] as const)
      expect(measuresOf({ family }).map((measures) => measures?.fallDb)).toEqual(
        measuresOf({ family }).map(() => undefined),
      );
  });
});

describe('a note through several words', () => {
  const vowels = (change?: Row['change']) =>
    measuresOf({ family: 'vowelSweep', choices: { start: 'countIn' }, ...(change && { change }) })[0]
      ?.words ?? [];

  it('has colour and pitch for each of them, in their order', () => {
    const words = vowels();
    expect(words.map(({ text }) => text)).toEqual(['ee', 'ay', 'ah', 'oh', 'oo']);
    const colours = words.map(({ centroidHarmonics }) => centroidHarmonics);
    expect(colours).toEqual(colours.toSorted((a, b) => b - a));
    for (const { cents } of words) expect(Math.abs(cents)).toBeLessThan(3);
  });

  it('leaves out words that were not come to', () => {
    const half = vowels(
      notes((note) => {
        const beats = note.lengthBeats / 2;
        const dynamics = [0, beats].map((beat) => ({ beat, mark: 'mf' as DynamicMark }));
        return { ...note, lengthBeats: beats, dynamics };
      }),
    );
    expect(half.length).toBeGreaterThanOrEqual(2);
    expect(half.length).toBeLessThan(5);
  });

  it('is not measured where no words are', () => {
    expect(measuresOf({ family: 'longHold', choices: { beats: 8 } })[0]).not.toHaveProperty('words');
  });
});
