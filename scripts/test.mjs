// npm test: install what is missing, then lint, types, unit tests, build and browser tests.
// The last line counts every test and every gate.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensureChromium, ensurePackages } from './ensureInstalled.mjs';

const root = join(import.meta.dirname, '..');
const results = join(root, 'test-results');
let passed = 0;
let failed = 0;

function run(name, command, args, cwd = root) {
  console.log(`\n— ${name}`);
  return spawnSync(command, args, { cwd, stdio: 'inherit' }).status === 0;
}

function gate(name, command, args, cwd) {
  if (run(name, command, args, cwd)) passed++;
  else failed++;
}

/** Counts a runner's report; a runner that failed without saying which test counts as one failure. */
function count(ok, file, read) {
  const [good, bad] = existsSync(file) ? read(JSON.parse(readFileSync(file, 'utf8'))) : [0, 0];
  passed += good;
  failed += bad === 0 && !ok ? 1 : bad;
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
count(unitOk, unitReport, ({ numPassedTests, numFailedTests }) => [numPassedTests, numFailedTests]);
gate('build', 'npm', ['run', '--silent', 'build']);
const browserOk = run('browser tests', 'npx', ['playwright', 'test'], join(root, 'e2e'));
count(browserOk, join(results, 'browser.json'), ({ stats }) => [
  stats.expected + stats.flaky,
  stats.unexpected,
]);

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed > 0 ? 1 : 0);
