import { cleanRows, freedomOfLevel } from './freedomRows.ts';
import { swellRows } from './swellRows.ts';
import { timeRows } from './timeRows.ts';
import { startRows } from './startRows.ts';
import { pitchRows } from './pitchRows.ts';
import { lineRows } from './lineRows.ts';
import { ownTimeRows } from './ownTimeRows.ts';
import type { VerdictRow } from './verdictTable.ts';

/** Every row: what must pass and what must be told. */
export const VERDICT_ROWS: readonly VerdictRow[] = [
  ...cleanRows(),
  ...freedomOfLevel(),
  ...swellRows(),
  ...timeRows(),
  ...startRows(),
  ...pitchRows(),
  ...lineRows(),
  ...ownTimeRows(),
];

const audible = VERDICT_ROWS.filter(({ onlySimulated }) => !onlySimulated);
/** What is played exactly as it is written, by any ear. */
export const CLEAN_ROWS = audible.filter(
  ({ played, wanted }) => played === 'as written' && wanted === 'passes',
);
/** What is played otherwise and must be told, by any ear. */
export const FAULT_ROWS = audible.filter(({ wanted }) => wanted !== 'passes');
