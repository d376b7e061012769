// npm start and npm run demo: install what is missing, build, serve.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { ensureBuilt, ensurePackages } from './ensureInstalled.mjs';

const root = join(import.meta.dirname, '..');
ensurePackages();
ensureBuilt();
const server = spawn(
  process.execPath,
  ['--import', 'tsx', join(root, 'server/src/main.ts'), ...process.argv.slice(2)],
  { cwd: root, stdio: 'inherit' },
);
server.on('exit', (code) => process.exit(code ?? 1));
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
