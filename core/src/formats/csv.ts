import Papa from 'papaparse';

export type Cell = string | number | boolean | null;

/** What a spreadsheet takes for a formula; the library's own rule misses texts of several lines. */
const FORMULA = /^[=+\-@\t\r\n]/;

/** The name of a column with its unit; empty: a plain number. */
export const headed = (name: string, unit: string) => (unit === '' ? name : `${name} [${unit}]`);

/** A figure with so many digits after the point; what is no figure is null. */
export const rounded = (value: number | null, digits: number) =>
  value === null || !Number.isFinite(value) ? null : Number(value.toFixed(digits));

/** A table as RFC 4180 has it; no answer is empty, and a text that would be taken for a formula gets an apostrophe. */
export function toCsv(rows: readonly (readonly Cell[])[]): string {
  if (rows.length === 0) return '';
  const filled = rows.map((row) => row.map((cell) => cell ?? ''));
  return `${Papa.unparse(filled, { newline: '\r\n', escapeFormulae: FORMULA })}\r\n`;
}
