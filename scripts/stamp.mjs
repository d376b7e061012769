// What was done already need not be done again: a stamp keeps the sum of what it was done from.
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join, relative } from 'node:path';

/** Every file under some paths, in order; folders of what is made are left out. */
function filesUnder(paths) {
  return paths.flatMap((path) => {
    if (!existsSync(path)) return [];
    if (!statSync(path).isDirectory()) return [path];
    const names = readdirSync(path).filter((name) => !/^(node_modules|dist.*|\..*)$/.test(name));
    return filesUnder(names.sort().map((name) => join(path, name)));
  });
}

/** The sum of what lies under some paths of the project. Tests are nothing that is built from. */
export function sumOf(root, paths) {
  const sum = createHash('sha256');
  for (const file of filesUnder(paths.map((path) => join(root, path)))) {
    if (/\.test\.tsx?$/.test(file)) continue;
    sum.update(relative(root, file)).update('\0').update(readFileSync(file)).update('\0');
  }
  return sum.digest('hex');
}

/** Whether a stamp has this sum. */
export const isStamped = (stamp, sum) => existsSync(stamp) && readFileSync(stamp, 'utf8') === sum;

/** Does the work unless its stamp has this sum, and stamps it when it is done. Answers whether it was done. */
export function unlessStamped(stamp, sum, work) {
  if (isStamped(stamp, sum)) return false;
  work();
  writeFileSync(stamp, sum);
  return true;
}
