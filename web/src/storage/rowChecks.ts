import * as yup from 'yup';
import { GEAR_ROWS } from './gearRowChecks.ts';
import { PLAN_ROWS } from './planRowChecks.ts';
import { day, finiteOrNull, text } from './rowFields.ts';
import type { OwnTable } from './tables.ts';
import { TAKE_ROWS } from './takeRowChecks.ts';

const CHECKS: Record<OwnTable, yup.ObjectSchema<yup.AnyObject>> = {
  ...TAKE_ROWS,
  ...GEAR_ROWS,
  ...PLAN_ROWS,
  // Its fields are looked at one by one when they are read.
  settings: yup.object({ id: yup.string().oneOf(['settings']).required() }),
  dayNotes: yup.object({ day, text: text(20_000), temperatureC: finiteOrNull }),
};

/** Of what is wrong, in letters. */
const MOST_FAULT = 200;

/** What is wrong with a row of a table, in a sentence that names the field; null where every room can read it. */
export function faultOfRow(table: OwnTable, row: unknown): string | null {
  if (typeof row !== 'object' || row === null) return 'This is no row.';
  try {
    CHECKS[table].validateSync(row, { strict: true });
    return null;
  } catch (error) {
    // Values that are told with it may be as long as a file.
    return (error as Error).message.slice(0, MOST_FAULT);
  }
}
