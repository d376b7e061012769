// Installs what is missing, and only that: packages when the lockfile has changed, Chromium when it is asked for.
// Plain JavaScript without packages, because it runs before there are any.
import { execFileSync, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

const root = join(import.meta.dirname, '..');
const stamp = join(root, 'node_modules', '.installed');
const CHROMIUM = '/usr/bin/chromium';

function run(command, args, stdio = 'inherit') {
  const { status } = spawnSync(command, args, { cwd: root, stdio });
  return status === 0;
}

function fail(sentence) {
  console.error(sentence);
  process.exit(1);
}

/** `quiet` keeps standard output free: everything said goes to standard error. */
export function ensurePackages({ quiet = false } = {}) {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19))
    fail(`Inner Hum needs Node.js 20.19 or newer; this is ${process.versions.node}.`);
  const wanted = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  console.error('Installing packages …');
  if (!run('npm', ['ci', '--no-fund', '--no-audit'], ['ignore', quiet ? 2 : 'inherit', 'inherit']))
    fail(
      'Installing packages failed: check the connection to the package registry and run the command again.',
    );
  writeFileSync(stamp, wanted);
}

export function ensureChromium() {
  if (existsSync(CHROMIUM)) return;
  const isRoot = process.getuid?.() === 0;
  if (!isRoot || !existsSync('/usr/bin/apt-get'))
    fail(
      'The browser tests need Chromium at /usr/bin/chromium: install it with your package manager and run npm test again.',
    );
  console.log('Installing Chromium …');
  run('apt-get', ['update']);
  if (!run('apt-get', ['install', '-y', '--no-install-recommends', 'chromium', 'fonts-dejavu-core']))
    fail('Installing Chromium failed: run apt-get install chromium yourself and try again.');
}

/** Builds the app; a few seconds, and always what the sources say. */
export function ensureBuilt() {
  console.log('Building …');
  execFileSync('npm', ['run', '--silent', 'build'], { cwd: root, stdio: ['ignore', 'ignore', 'inherit'] });
}

if (process.argv[1] === import.meta.filename) {
  ensurePackages();
  if (process.argv.includes('--browser')) ensureChromium();
}
