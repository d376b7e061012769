import { readFileSync } from 'node:fs';
import { unpackDemo } from '@inner-hum/core/formats';
import { expect, it } from 'vitest';
import { faultOfRow } from '../../storage/rowChecks.ts';
import type { OwnTable } from '../../storage/tables.ts';
import { demoRows } from './demoRows.ts';

const pack = () => {
  const file = new URL('../../../public/demo/twelve-weeks.zip', import.meta.url);
  return unpackDemo(new Uint8Array(readFileSync(file)));
};

it.each([3, 9, 23])('has nothing of the day played later than now, opened at %i o’clock', (hour) => {
  const now = new Date(2026, 2, 14, hour, 20);
  const { takes, rounds, reeds, trials, aims } = demoRows(pack(), now);
  const moments = [...takes, ...rounds].map(({ startedAt }) => startedAt);
  expect(Math.max(...moments)).toBeLessThanOrEqual(now.getTime());
  expect(Math.max(...moments)).toBeGreaterThan(new Date(2026, 2, 14).getTime());
  const written = [...reeds, ...trials, ...aims].map(({ createdAt }) => createdAt);
  expect(Math.max(...written)).toBeLessThanOrEqual(now.getTime());
  // In the order in which it was played.
  const order = pack().takes.map(({ daysAgo, second }) => 86_400 * -daysAgo + second);
  const sorted = (of: readonly number[]) => [...of.keys()].toSorted((a, b) => of[a] - of[b]);
  expect(sorted(takes.map(({ startedAt }) => startedAt))).toEqual(sorted(order));
});

it('makes rows of the demo that pass the door for rows from outside, all of them', () => {
  const rows = demoRows(pack(), new Date(2026, 2, 14, 12));
  expect(rows.takes.length).toBeGreaterThan(500);
  for (const [table, all] of Object.entries(rows))
    for (const row of all) {
      // Frames are looked at where their bytes are read.
      if (table === 'frames') continue;
      expect(faultOfRow(table as OwnTable, row), `${table} ${JSON.stringify(row).slice(0, 80)}`).toBeNull();
    }
});
