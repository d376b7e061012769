// npm start and npm run demo: install what is missing, build what has changed, serve.
import './checkNode.mjs';
import { createServer } from 'node:net';
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { ensureBuilt, ensurePackages } from './ensureInstalled.mjs';

const root = join(import.meta.dirname, '..');
const PORTS = { start: 4170, demo: 4180 };

/** A port that is taken is told before anything is installed or built for it. */
async function checkPort() {
  const { PORT } = process.env;
  const port = PORT === undefined ? PORTS[process.argv.includes('--demo') ? 'demo' : 'start'] : Number(PORT);
  // What is no port the server tells.
  if (!Number.isInteger(port) || port < 1 || port > 65535) return;
  const isFree = await new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', ({ code }) => resolve(code !== 'EADDRINUSE'));
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(true)));
  });
  if (isFree) return;
  console.error(`Port ${port} is taken by another program: end that program, or set PORT to a free port.`);
  process.exit(1);
}

await checkPort();
ensurePackages();
ensureBuilt();
const server = spawn(
  process.execPath,
  ['--import', 'tsx', join(root, 'server/src/main.ts'), ...process.argv.slice(2)],
  { cwd: root, stdio: 'inherit' },
);
server.on('exit', (code) => process.exit(code ?? 1));
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
