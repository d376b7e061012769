// npm test: install what is missing, build, then every check there is. Journeys with real sound mostly wait for it: lint, types and
// unit tests run beside them and give way to them. What failed is named once more at the end, with the minutes of each part;
// the last line counts every test and every gate.
import './checkNode.mjs';
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { cpus } from 'node:os';
import { join, relative } from 'node:path';
import { ensureBuilt, ensureChromium, ensureFirefox, ensurePackages } from './ensureInstalled.mjs';

const root = join(import.meta.dirname, '..');
const results = join(root, 'test-results');
let passed = 0;
/** What failed, by its name: its own lines may stand far above the last ones of a log. */
const failed = [];
const minutes = [];
const MOST_SNAPSHOT_LINES = 60;

/** Minutes that the processors were at work, of all that runs here: other machines on the same iron do not add to it. */
const busyMinutes = () =>
  cpus().reduce((sum, { times: { user, nice, sys } }) => sum + user + nice + sys, 0) / 60_000;

async function timed(name, work) {
  const begun = Date.now();
  const done = await work();
  minutes.push([name, (Date.now() - begun) / 60_000]);
  return done;
}

/** Runs a command, tells what it said once it is over, and answers whether it went well. */
function run(name, command, args, { cwd = root, env = {}, gently = false } = {}) {
  const line = gently ? ['nice', '-n', '19', command, ...args] : [command, ...args];
  return timed(
    name,
    () =>
      new Promise((resolve) => {
        const said = [];
        const child = spawn(line[0], line.slice(1), { cwd, env: { ...process.env, ...env } });
        for (const stream of [child.stdout, child.stderr]) stream.on('data', (part) => said.push(part));
        child.on('close', (code) => {
          console.log(`\n— ${name}\n${Buffer.concat(said).toString().trimEnd()}`);
          resolve(code === 0);
        });
      }),
  );
}

async function gate(name, ...how) {
  if (await run(name, ...how)) passed++;
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

/** What stood on the page when a journey failed: where it cannot be run again it tells more than the message. */
const pageSnapshots = ({ attachments }) =>
  attachments
    .filter(({ name, path }) => name === 'error-context' && path && existsSync(path))
    .map(({ path }) => readFileSync(path, 'utf8').split('# Page snapshot')[1]?.split('\n# ')[0])
    .filter((snapshot) => snapshot !== undefined)
    .map((snapshot) => snapshot.trim().split('\n').slice(0, MOST_SNAPSHOT_LINES).join('\n'));

function browserTests({ stats, suites }) {
  const specsOf = (suite) => [...(suite.specs ?? []), ...(suite.suites ?? []).flatMap(specsOf)];
  const bad = suites
    .flatMap(specsOf)
    .filter(({ tests }) => tests.some(({ status }) => status === 'unexpected'))
    .map(({ file, title, tests }) => {
      const tries = tests.flatMap((each) => each.results);
      const said = tries.flatMap(({ errors }) => errors.map(({ message }) => message));
      return [`${file} › ${title}`, ...said, ...tries.flatMap(pageSnapshots)].join('\n');
    });
  return { good: stats.expected, bad };
}

async function journeys(project) {
  const name = `journeys: ${project}`;
  const report = join(results, `${project}.json`);
  const ok = await run(name, 'npx', ['playwright', 'test', `--project=${project}`], {
    cwd: join(root, 'e2e'),
    env: { BROWSER_REPORT: report },
  });
  count(name, ok, report, browserTests);
}

async function besideThem() {
  const gently = { gently: true };
  await gate('lint', 'npm', ['run', '--silent', 'lint'], gently);
  await gate('types', 'npm', ['run', '--silent', 'types'], gently);
  const report = join(results, 'unit.json');
  const reporters = ['--reporter=default', '--reporter=json', `--outputFile=${report}`];
  count(
    'unit tests',
    await run('unit tests', 'npx', ['vitest', 'run', ...reporters], gently),
    report,
    unitTests,
  );
}

const begun = Date.now();
const busyBefore = busyMinutes();
ensurePackages();
ensureChromium();
ensureFirefox();
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });
await timed('build', () => ensureBuilt());
passed++;
await Promise.all([journeys('sound'), besideThem()]);
await journeys('rooms');

for (const name of failed) console.log(`\nfailed: ${name}`);
console.log(`\n${minutes.map(([name, took]) => `${name} ${took.toFixed(1)}`).join(', ')} minutes`);
console.log(
  `all of it ${((Date.now() - begun) / 60_000).toFixed(1)} minutes; ${(busyMinutes() - busyBefore).toFixed(1)} minutes of work by ${cpus().length} processors`,
);
console.log(`\n${passed} passed, ${failed.length} failed`);
process.exit(failed.length > 0 ? 1 : 0);
