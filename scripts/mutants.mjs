// npm run mutants: how many small changes of the code its unit tests notice, by folder; with names only those folders, with --list
// what they did not notice. Minutes to an hour a folder: not part of npm test.
import './checkNode.mjs';
import { spawnSync } from 'node:child_process';
import { readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensurePackages } from './ensureInstalled.mjs';

const root = join(import.meta.dirname, '..');
const FOLDERS = [
  'core/src/stats',
  'core/src/practice',
  'core/src/plan',
  'web/src/session',
  'web/src/storage',
];
const WANTED_PERCENT = 75;
/** What a test noticed; what no test looked at counts as not noticed. */
const NOTICED = new Set(['Killed', 'Timeout']);
const COUNTED = new Set([...NOTICED, 'Survived', 'NoCoverage']);

const names = process.argv.slice(2).filter((name) => !name.startsWith('--'));
const lists = process.argv.includes('--list');
const wanted = FOLDERS.filter(
  (folder) => names.length === 0 || names.some((name) => folder.endsWith(`/${name}`)),
);

ensurePackages();
let isEnough = true;
for (const folder of wanted) {
  const report = join(root, 'test-results', 'mutants', `${folder.replaceAll('/', '.')}.json`);
  rmSync(report, { force: true });
  const { status } = spawnSync('npx', ['stryker', 'run'], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, MUTANTS_OF: folder },
  });
  if (status !== 0) {
    console.error(`${folder} could not be measured.`);
    process.exitCode = 1;
    continue;
  }
  const { files } = JSON.parse(readFileSync(report, 'utf8'));
  const mutants = Object.entries(files).flatMap(([file, { mutants: own }]) =>
    own.map((each) => ({ file, ...each })),
  );
  const counted = mutants.filter(({ status: is }) => COUNTED.has(is));
  const noticed = counted.filter(({ status: is }) => NOTICED.has(is));
  const percent = (100 * noticed.length) / Math.max(1, counted.length);
  isEnough &&= percent >= WANTED_PERCENT;
  console.log(`${folder}: ${noticed.length} of ${counted.length} changes noticed, ${percent.toFixed(1)} %`);
  if (!lists) continue;
  for (const { file, location, mutatorName, replacement, status: is } of counted)
    if (!NOTICED.has(is))
      console.log(`  ${file}:${location.start.line} ${mutatorName} -> ${replacement ?? ''} (${is})`);
}
if (!isEnough) {
  console.log(`Wanted: at least ${WANTED_PERCENT} % in each.`);
  process.exitCode = 1;
}
