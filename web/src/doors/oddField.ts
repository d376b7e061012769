import type { Random } from '@inner-hum/core/signal';
import { pick } from './door.ts';

/** Written so where JSON has no word for it, and read as a number that is none. */
const ENDLESS = 'an endless number';
const HOSTILE: readonly unknown[] = [
  undefined,
  null,
  ENDLESS,
  -1e300,
  1.5,
  -1,
  0,
  1e6,
  '',
  'x',
  'https://example.org/',
  'x'.repeat(70_000),
  [],
  {},
  [null],
  ['x'],
  true,
  { proto: { kind: 'note' }, constructor: 1 },
];

type Path = readonly (string | number)[];

/** Every place in a value, the first elements of its lists standing for the others. */
function* placesIn(value: unknown, path: Path = []): Generator<Path> {
  if (path.length > 0) yield path;
  if (typeof value !== 'object' || value === null) return;
  for (const [name, inner] of Object.entries(value)) {
    if (Array.isArray(value) && Number(name) > 2) return;
    yield* placesIn(inner, [...path, name]);
  }
}

/** Rows whose places are known: they are looked for once. */
export interface OddRows {
  rows: readonly object[];
  places: readonly (readonly Path[])[];
}
export const oddRows = (rows: readonly object[]): OddRows => ({
  rows,
  places: rows.map((row) => [...placesIn(row)]),
});

/** One of the rows as JSON, something odd standing in one of its fields. */
export function rowWithOddField({ rows, places }: OddRows, random: Random): string {
  const which = Math.floor(random.uniform() * rows.length);
  const path = pick(places[which], random);
  const odd = pick(HOSTILE, random);
  const copy = structuredClone(rows[which]) as Record<string, unknown>;
  const last = path.length - 1;
  const holder = path
    .slice(0, last)
    .reduce<Record<string, unknown>>((inner, name) => inner[name] as Record<string, unknown>, copy);
  if (odd === undefined) Reflect.deleteProperty(holder, path[last]);
  else holder[path[last]] = odd;
  return JSON.stringify(copy).replace(`"${ENDLESS}"`, '1e999').replace('"proto"', '"__proto__"');
}
