// npm test: install what is missing, then lint, types, unit tests, build and browser tests.
// What failed is named once more at the end; the last line counts every test and every gate.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join, relative } from 'node:path';
import { ensureChromium, ensurePackages } from './ensureInstalled.mjs';

const root = join(import.meta.dirname, '..');
const results = join(root, 'test-results');
let passed = 0;
/** What failed, by its name: its own lines may stand far above the last ones of a log. */
const failed = [];

function run(name, command, args, cwd = root) {
  console.log(`\n— ${name}`);
  return spawnSync(command, args, { cwd, stdio: 'inherit' }).status === 0;
}

function gate(name, command, args, cwd) {
  if (run(name, command, args, cwd)) passed++;
  else failed.push(name);
}

/** Counts a runner's report; a runner that failed without saying which test counts as one failure. */
function count(name, ok, file, read) {
  const { good, bad } = existsSync(file)
    ? read(JSON.parse(readFileSync(file, 'utf8')))
    : { good: 0, bad: [] };
  if (!ok && bad.length === 0) bad.push(name);
  passed += good;
  failed.push(...bad);
}

function unitTests({ numPassedTests, testResults }) {
  const bad = testResults.flatMap(({ name, assertionResults }) =>
    assertionResults
      .filter(({ status }) => status === 'failed')
      .map(({ fullName, failureMessages }) => `${relative(root, name)} › ${fullName}\n${failureMessages[0]}`),
  );
  return { good: numPassedTests, bad };
}

function browserTests({ stats, suites }) {
  const specsOf = (suite) => [...(suite.specs ?? []), ...(suite.suites ?? []).flatMap(specsOf)];
  const bad = suites
    .flatMap(specsOf)
    .filter(({ tests }) => tests.some(({ status }) => status === 'unexpected'))
    .map(({ file, title }) => `${file} › ${title}`);
  return { good: stats.expected + stats.flaky, bad };
}

ensurePackages();
ensureChromium();
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });

gate('lint', 'npm', ['run', '--silent', 'lint']);
gate('types', 'npm', ['run', '--silent', 'types']);
const unitReport = join(results, 'unit.json');
const unitOk = run('unit tests', 'npx', [
  'vitest',
  'run',
  '--reporter=default',
  '--reporter=json',
  `--outputFile=${unitReport}`,
]);
count('unit tests', unitOk, unitReport, unitTests);
gate('build', 'npm', ['run', '--silent', 'build']);
const browserOk = run('browser tests', 'npx', ['playwright', 'test'], join(root, 'e2e'));
count('browser tests', browserOk, join(results, 'browser.json'), browserTests);

for (const name of failed) console.log(`\nfailed: ${name}`);
console.log(`\n${passed} passed, ${failed.length} failed`);
process.exit(failed.length > 0 ? 1 : 0);
