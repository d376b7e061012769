import Papa from 'papaparse';

export type Cell = string | number | boolean | null;

/** What a spreadsheet takes for a formula; the library's own rule misses texts of several lines. */
const FORMULA = /^[=+\-@\t\r\n]/;

/** The name of a column with its unit; empty: a plain number. */
export const headed = (name: string, unit: string) => (unit === '' ? name : `${name} [${unit}]`);

/** A figure with so many digits after the point; what is no figure is null. */
export const rounded = (value: number | null, digits: number) =>
  value === null || !Number.isFinite(value) ? null : Number(value.toFixed(digits));

/** What a spreadsheet reads in its country: commas between cells and points in numbers, or semicolons between cells and commas in numbers. */
export const CSV_STYLES = ['comma', 'semicolon'] as const;
export type CsvStyle = (typeof CSV_STYLES)[number];

/** Tells a spreadsheet that what follows is UTF-8; it stands once, at the beginning of a file. */
export const BYTE_ORDER_MARK = '\uFEFF';

/**
 * A table as RFC 4180 has it, in either style; no answer is empty, and a text that would be taken for a formula gets an apostrophe. With
 * `isFile` it is the beginning of a file.
 */
export function toCsv(
  rows: readonly (readonly Cell[])[],
  { style = 'comma', isFile = false }: { style?: CsvStyle | undefined; isFile?: boolean } = {},
): string {
  if (rows.length === 0) return '';
  const told = (cell: Cell) =>
    typeof cell === 'number' && style === 'semicolon' ? String(cell).replace('.', ',') : (cell ?? '');
  // The library's own guard would take a negative number with a comma for a formula.
  const guarded = rows.map((row) =>
    row.map((cell) => (typeof cell === 'string' && FORMULA.test(cell) ? `'${cell}` : told(cell))),
  );
  const text = Papa.unparse(guarded, { newline: '\r\n', delimiter: style === 'comma' ? ',' : ';' });
  return `${isFile ? BYTE_ORDER_MARK : ''}${text}\r\n`;
}
