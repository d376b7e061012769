import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, mkdirSync, writeFileSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { join } from 'node:path';
import { beforeAll, expect, it } from 'vitest';

const main = join(import.meta.dirname, 'main.ts');
const distDir = join(import.meta.dirname, '../../web/dist');

beforeAll(() => {
  // Where nothing was built yet, a page is enough to start on.
  if (existsSync(join(distDir, 'index.html'))) return;
  mkdirSync(distDir, { recursive: true });
  writeFileSync(join(distDir, 'index.html'), '');
});

async function start(port: string): Promise<{ code: number; said: string }> {
  const server = spawn(process.execPath, ['--import', 'tsx', main], { env: { ...process.env, PORT: port } });
  let said = '';
  server.stderr.on('data', (part: Buffer) => (said += part.toString()));
  const [code] = (await once(server, 'exit')) as [number];
  return { code, said: said.trim() };
}

it('says in one sentence that its port is taken, and ends with 1', async () => {
  const other = createServer().listen(0, '127.0.0.1');
  await once(other, 'listening');
  const { port } = other.address() as AddressInfo;
  const { code, said } = await start(String(port));
  other.close();
  expect(code).toBe(1);
  expect(said).toBe(
    `Port ${port} is taken by another program: end that program, or set PORT to a free port.`,
  );
});

it('says what is wrong with a PORT that is none', async () => {
  expect(await start('http')).toEqual({
    code: 1,
    said: 'PORT must be a whole number from 1 to 65535, not "http".',
  });
});
