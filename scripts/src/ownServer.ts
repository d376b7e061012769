import { spawn } from 'node:child_process';
import { join } from 'node:path';

const root = join(import.meta.dirname, '../..');

/** Serves the built app on a port of its own until `stop`. */
export async function startServer(port: number, ...flags: string[]): Promise<{ url: string; stop(): void }> {
  const server = spawn(process.execPath, ['--import', 'tsx', join(root, 'server/src/main.ts'), ...flags], {
    cwd: root,
    env: { ...process.env, PORT: String(port) },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await new Promise<void>((resolve, reject) => {
    server.stdout.once('data', () => resolve());
    server.once('exit', () => reject(new Error('The server did not start.')));
  });
  // Whatever ends this program ends its server.
  process.once('exit', () => server.kill());
  return { url: `http://127.0.0.1:${port}`, stop: () => void server.kill() };
}

/** Launch options for Debian's Chromium, as the browser tests use it. */
export const CHROMIUM = {
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--autoplay-policy=no-user-gesture-required'],
};
