// npm run mutants: how many small changes of the code its unit tests notice, by folder; with names only those folders (`plan`) or
// files (`plan/gates`), with --list what they did not notice. Minutes to an hour a folder: not part of npm test.
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
  'core/src/tendency',
  'core/src/trial',
  'core/src/tone',
  'web/src/session',
  'web/src/storage',
  'web/src/archive',
];
const WANTED_PERCENT = 75;
/** What a test noticed; what no test looked at counts as not noticed. */
const NOTICED = new Set(['Killed', 'Timeout']);
const COUNTED = new Set([...NOTICED, 'Survived', 'NoCoverage']);

const names = process.argv.slice(2).filter((name) => !name.startsWith('--'));
const lists = process.argv.includes('--list');
const targets = FOLDERS.flatMap((folder) => {
  const own = folder.split('/').at(-1);
  if (names.length === 0 || names.includes(own)) return [{ folder, only: null }];
  return names
    .filter((name) => name.startsWith(`${own}/`))
    .map((name) => ({ folder, only: name.slice(own.length + 1) }));
});
if (targets.length === 0) {
  console.error(`Folders: ${FOLDERS.map((folder) => folder.split('/').at(-1)).join(', ')}.`);
  process.exit(1);
}

ensurePackages();
let isEnough = true;
for (const { folder, only } of targets) {
  const name = only === null ? folder : `${folder}/${only}.ts`;
  const report = join(root, 'test-results', 'mutants', `${folder.replaceAll('/', '.')}.json`);
  rmSync(report, { force: true });
  const { status } = spawnSync('npx', ['stryker', 'run'], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, MUTANTS_OF: folder, ...(only !== null && { MUTANTS_IN: only }) },
  });
  if (status !== 0) {
    console.error(`${name} could not be measured.`);
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
  console.log(`${name}: ${noticed.length} of ${counted.length} changes noticed, ${percent.toFixed(1)} %`);
  if (!lists) continue;
  for (const { file, location, mutatorName, replacement, status: is } of counted)
    if (!NOTICED.has(is))
      console.log(`  ${file}:${location.start.line} ${mutatorName} -> ${replacement ?? ''} (${is})`);
}
if (!isEnough) {
  console.log(`Wanted: at least ${WANTED_PERCENT} % in each.`);
  process.exitCode = 1;
}
