import { expect, it } from 'vitest';
import { FAMILIES } from '../exercise/index.ts';
import { runRow, VERDICT_ROWS } from './index.ts';

// What a drill was written as, and how it was played instead: all that a teacher would tell is told, by name and on its note, and nothing
// else. `npm run verdicts` prints the table; `npm run verdicts -- additive` asks it of sound that the simulated player did not make.

const seed = Number(process.env.SEED ?? 1);
/** So many rows share one that is asked of foreign sound, another one by each seed. */
const FOREIGN_OF = 12;

it('has a row for what every family asks, on many horns', () => {
  expect(VERDICT_ROWS.length).toBeGreaterThanOrEqual(150);
  expect(new Set(VERDICT_ROWS.map(({ family }) => family)).size).toBe(FAMILIES.length);
  expect(new Set(VERDICT_ROWS.map(({ hornId }) => hornId)).size).toBe(8);
  const told = VERDICT_ROWS.filter(({ wanted }) => wanted !== 'passes');
  expect(told.length).toBeGreaterThan(90);
});

it.each(
  VERDICT_ROWS.map(
    (row, i) => [`${row.hornId} ${row.family} ${row.phrase ?? 0}: ${row.played}`, row, i] as const,
  ),
)('%s', (_, row, i) => {
  const { said, wrong } = runRow(row, 'truth');
  expect(wrong, said).toBeNull();
  if ((i + seed) % FOREIGN_OF !== 0 || row.onlySimulated) return;
  const foreign = runRow(row, 'additive');
  expect(foreign.wrong, `by additive tones: ${foreign.said}`).toBeNull();
});
