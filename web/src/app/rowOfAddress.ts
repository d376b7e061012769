import type { OwnTable } from '../storage/index.ts';

const ROWS: readonly [path: RegExp, table: OwnTable][] = [
  [/^\/takes\/round\/([^/]+)$/, 'rounds'],
  [/^\/takes\/([^/]+)$/, 'takes'],
  [/^\/(?:shelf|stand)\/own\/([^/]+)$/, 'exercises'],
  [/^\/stand\/trial\/([^/]+)$/, 'trials'],
];

/** The row that a room shows, where it shows one; null where it shows many. */
export function rowOfAddress(pathname: string): { table: OwnTable; id: string } | null {
  for (const [path, table] of ROWS) {
    const id = path.exec(pathname)?.[1];
    if (id !== undefined) return { table, id: decodeURIComponent(id) };
  }
  return null;
}
