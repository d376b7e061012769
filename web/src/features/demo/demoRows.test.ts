import { readFileSync } from 'node:fs';
import { unpackDemo } from '@inner-hum/core/formats';
import { expect, it } from 'vitest';
import { faultOfRow } from '../../storage/rowChecks.ts';
import type { OwnTable } from '../../storage/tables.ts';
import { demoRows } from './demoRows.ts';

it('makes rows of the demo that pass the door for rows from outside, all of them', () => {
  const file = new URL('../../../public/demo/twelve-weeks.zip', import.meta.url);
  const rows = demoRows(unpackDemo(new Uint8Array(readFileSync(file))), new Date(2026, 2, 14, 12));
  expect(rows.takes.length).toBeGreaterThan(500);
  for (const [table, all] of Object.entries(rows))
    for (const row of all) {
      // Frames are looked at where their bytes are read.
      if (table === 'frames') continue;
      expect(faultOfRow(table as OwnTable, row), `${table} ${JSON.stringify(row).slice(0, 80)}`).toBeNull();
    }
});
