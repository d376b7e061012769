import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, it } from 'vitest';

// What is shipped, as docs/licences.md tells it: `npm run licences` writes it anew.

const root = join(import.meta.dirname, '../..');
const rows = [
  ...readFileSync(join(root, 'docs/licences.md'), 'utf8').matchAll(/^\| (\S+) \| (\d\S*) \| ([^|]+) \|$/gm),
].map(([, name, version, licence]) => ({ name, version, licence: licence.trim() }));

const FREE = ['MIT', 'ISC', '0BSD', 'BSD-2-Clause', 'BSD-3-Clause', 'Apache-2.0', 'OFL-1.1', 'Unlicense'];
/** A package more is a decision, not an accident. */
const MOST_PACKAGES = 92;

it('ships few packages, all under free licences that ask for no more than their notice', () => {
  expect(rows.length).toBeGreaterThan(20);
  expect(rows.length).toBeLessThanOrEqual(MOST_PACKAGES);
  for (const { name, licence } of rows)
    expect(
      licence
        .replace(/[()]/g, '')
        .split(/ AND | OR /)
        .some((each) => FREE.includes(each)),
      `${name}: ${licence}`,
    ).toBe(true);
});

it('tells every package that the app asks for, as it is installed', () => {
  for (const workspace of ['core', 'web']) {
    const { dependencies = {} } = JSON.parse(readFileSync(join(root, workspace, 'package.json'), 'utf8')) as {
      dependencies?: Record<string, string>;
    };
    for (const [name, version] of Object.entries(dependencies))
      if (!name.startsWith('@inner-hum/'))
        expect(rows, name).toContainEqual(expect.objectContaining({ name, version }));
  }
});
