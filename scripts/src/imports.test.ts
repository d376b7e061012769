import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import { expect, it } from 'vitest';

const root = join(import.meta.dirname, '../..');
const IMPORT = /(?:import|export)[^'";]*?from '(\.[^']+)'/g;

/** What each source file of a folder imports by a path, types too; what is fetched when it is needed is not counted. */
function importsIn(folder: string): Map<string, string[]> {
  const files = readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' }).filter(
    (file) => /\.tsx?$/.test(file) && !/\.(test|d)\.tsx?$/.test(file),
  );
  return new Map(
    files.map((file) => {
      const path = join(root, folder, file);
      const found = [...readFileSync(path, 'utf8').matchAll(IMPORT)].map(([, name]) =>
        resolve(dirname(path), name),
      );
      return [path, found];
    }),
  );
}

/** The first way from a file back to itself, in order; empty where there is none. */
function circleIn(imports: ReadonlyMap<string, readonly string[]>): string[] {
  const done = new Set<string>();
  const way: string[] = [];
  const visit = (file: string): string[] => {
    const at = way.indexOf(file);
    if (at >= 0) return [...way.slice(at), file];
    if (done.has(file)) return [];
    way.push(file);
    for (const other of imports.get(file) ?? []) {
      const circle = visit(other);
      if (circle.length > 0) return circle;
    }
    way.pop();
    done.add(file);
    return [];
  };
  for (const file of imports.keys()) {
    const circle = visit(file);
    if (circle.length > 0) return circle;
  }
  return [];
}

it('finds a circle where there is one', () => {
  const imports = new Map([
    ['a', ['b', 'c']],
    ['b', ['d']],
    ['c', ['b']],
    ['d', ['e', 'b']],
    ['e', []],
  ]);
  expect(circleIn(imports)).toEqual(['b', 'd', 'b']);
  imports.set('d', ['e']);
  expect(circleIn(imports)).toEqual([]);
});

it.each(['core/src', 'web/src', 'server/src', 'cli/src', 'e2e', 'scripts/src'])(
  'has no file in %s that imports itself by way of others',
  (folder) => {
    const imports = importsIn(folder);
    expect(imports.size).toBeGreaterThan(1);
    expect(circleIn(imports).map((file) => relative(root, file))).toEqual([]);
  },
);
