import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { build } from 'vite';
import { writePage } from './report.ts';

// npm run licences: what is shipped with the app and under which terms, into docs/licences.md.

const root = join(import.meta.dirname, '../..');
const web = join(root, 'web');

interface Manifest {
  name: string;
  version: string;
  license?: string;
  dependencies?: Record<string, string>;
}
const read = (file: string) => JSON.parse(readFileSync(file, 'utf8')) as Manifest;

const found = new Map<string, Manifest>();
function add(folder: string): void {
  const manifest = read(join(folder, 'package.json'));
  found.set(`${manifest.name} ${manifest.version}`, manifest);
}

/** Packages whose modules are in the page as it is built. */
const built = await build({ root: web, logLevel: 'silent', build: { write: false } });
for (const { output } of [built].flat() as { output: { moduleIds?: string[] }[] }[])
  for (const { moduleIds } of output)
    for (const id of moduleIds ?? []) {
      const inPackage = /^.*\/node_modules\/(?:@[^/]+\/)?[^/]+/.exec(id.replace(/^\0/, ''));
      if (inPackage && existsSync(join(inPackage[0], 'package.json'))) add(inPackage[0]);
    }
// Workers are built apart: what they use is asked for by name.
for (const workspace of ['core', 'web'])
  for (const name of Object.keys(read(join(root, workspace, 'package.json')).dependencies ?? {}))
    if (!name.startsWith('@inner-hum/')) {
      // Where two versions are wanted, the workspace's own stands beside it.
      const own = join(root, workspace, 'node_modules', name);
      add(existsSync(own) ? own : join(root, 'node_modules', name));
    }

const isFont = ({ name }: Manifest) => /^@(fontsource|vexflow-fonts)/.test(name);
const rows = (some: readonly Manifest[]) =>
  some
    .toSorted((a, b) => a.name.localeCompare(b.name))
    .map(({ name, version, license }) => `| ${name} | ${version} | ${license ?? 'see its package'} |`)
    .join('\n');
const all = [...found.values()];
const publicFiles = readdirSync(join(root, 'web/public'), { recursive: true, withFileTypes: true })
  .filter((entry) => entry.isFile())
  .map((entry) => `\`${join(entry.parentPath, entry.name).slice(join(root, 'web/public/').length)}\``);

writePage(
  'licences.md',
  `# Licences of what is shipped

\`npm run licences\` writes this page from what is installed. Inner Hum itself is under the MIT licence. Packages that only build, test or serve are not
in it.

## Fonts

| package | version | licence |
|---|---|---|
${rows(all.filter(isFont))}

## Pictures and data

Our own, MIT: ${publicFiles.sort().join(', ')}.
Icons beside words come from lucide-react (ISC, below). No sound is shipped: clicks, drones and the simulated player are computed.

## Packages

| package | version | licence |
|---|---|---|
${rows(all.filter((each) => !isFont(each)))}
`,
);
console.log(`${found.size} packages`);
