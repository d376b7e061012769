// Installs and builds what is missing, and only that: packages when the lockfile has changed, the app when its sources
// have, Chromium when it is asked for. Plain JavaScript without packages, because it runs before there are any.
import './checkNode.mjs';
import { spawnSync } from 'node:child_process';
import { existsSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { sumOf, unlessStamped } from './stamp.mjs';

const root = join(import.meta.dirname ?? new URL('.', import.meta.url).pathname, '..');
const CHROMIUM = '/usr/bin/chromium';
const FIREFOX = '/usr/bin/firefox-esr';
/** What the app is built from. */
const SOURCES = ['package-lock.json', 'tsconfig.base.json', 'core', 'web'];

/** Runs a command and is silent unless it fails: then what it said is told. */
function run(command, args) {
  const { status, stdout, stderr } = spawnSync(command, args, {
    cwd: root,
    encoding: 'utf8',
    maxBuffer: 1e8,
  });
  if (status !== 0) console.error(`${stdout ?? ''}${stderr ?? ''}`);
  return status === 0;
}

function fail(sentence) {
  console.error(sentence);
  process.exit(1);
}

/** Whether Debian's own packages can be had here. */
const canInstall = () => process.getuid?.() === 0 && existsSync('/usr/bin/apt-get');

function install(...packages) {
  run('apt-get', ['update']);
  return run('apt-get', ['install', '-y', '--no-install-recommends', ...packages]);
}

const installed = () => [join(root, 'node_modules', '.installed'), sumOf(root, ['package-lock.json'])];

/** Everything that is said goes to standard error: what a command prints may be read by another one. */
export function ensurePackages() {
  unlessStamped(...installed(), () => {
    console.error('Installing packages …');
    if (!run('npm', ['ci', '--no-fund', '--no-audit', '--loglevel=error']))
      fail(
        'Installing packages failed: check the connection to the package registry and run the command again.',
      );
  });
}

export function ensureChromium() {
  if (existsSync(CHROMIUM)) return;
  if (!canInstall())
    fail(
      'The browser tests need Chromium at /usr/bin/chromium: install it with your package manager and run npm test again.',
    );
  console.error('Installing Chromium …');
  if (!install('chromium', 'fonts-dejavu-core'))
    fail('Installing Chromium failed: run apt-get install chromium yourself and try again.');
}

/** One journey is made in another browser too; where that cannot be had it is left out, and that is said. */
export function ensureFirefox() {
  if (existsSync(FIREFOX)) return;
  if (canInstall()) {
    console.error('Installing Firefox …');
    install('firefox-esr');
  }
  if (!existsSync(FIREFOX))
    console.error(
      `Firefox is not at ${FIREFOX}: its journey is left out. Everything else is tested in Chromium.`,
    );
}

/** Builds the app where its sources have changed since it was built. Answers whether it was. */
export function ensureBuilt() {
  const stamp = join(root, 'web', '.built');
  if (!existsSync(join(root, 'web', 'dist', 'sw.js'))) rmSync(stamp, { force: true });
  return unlessStamped(stamp, sumOf(root, SOURCES), () => {
    console.error('Building …');
    if (!run('npm', ['run', '--silent', 'build']))
      fail('The app could not be built: what is wrong is said above.');
  });
}

if (process.argv[1] === import.meta.filename) {
  // Packages that were installed by hand are packages too.
  if (process.argv.includes('--after-install')) unlessStamped(...installed(), () => {});
  else ensurePackages();
  if (process.argv.includes('--browser')) ensureChromium();
  if (process.argv.includes('--built')) ensureBuilt();
}
