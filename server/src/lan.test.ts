import { once } from 'node:events';
import { mkdtempSync, statSync, writeFileSync } from 'node:fs';
import { createServer, request } from 'node:https';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { createApp } from './app.ts';
import { lanCertificate } from './lanCertificate.ts';
import { CERTIFICATE_PATH, lanWords } from './lanWords.ts';

const newFolder = () => mkdtempSync(join(tmpdir(), 'inner-hum-'));

it('serves HTTPS that a device trusts once it trusts the authority, and only then', async () => {
  const distDir = newFolder();
  writeFileSync(join(distDir, 'index.html'), 'the app');
  const { key, chain, authority } = await lanCertificate(join(distDir, 'lan'), ['127.0.0.1']);
  const origins = ['https://127.0.0.1:4175'];
  const app = createApp({ distDir, origins, demo: false, authority });
  const server = createServer({ key, cert: chain }, app).listen(0, '127.0.0.1');
  await once(server, 'listening');
  const { port } = server.address() as AddressInfo;
  // Who asks under another name is not looked at by name.
  const get = (path: string, ca: string[], host = '127.0.0.1', names = {}) =>
    new Promise<{ status: number; body: string; location: string | undefined }>((resolve, reject) => {
      request(
        { host: '127.0.0.1', servername: '', port, path, ca, headers: { host }, ...names },
        (response) => {
          let body = '';
          response.on('data', (part: Buffer) => (body += part.toString()));
          response.on('end', () =>
            resolve({ status: response.statusCode ?? 0, body, location: response.headers.location }),
          );
        },
      )
        .on('error', reject)
        .end();
    });
  expect(await get('/today', [authority])).toMatchObject({ status: 200, body: 'the app' });
  expect((await get(CERTIFICATE_PATH, [authority])).body).toBe(authority);
  const byAnyName = { checkServerIdentity: () => undefined };
  expect((await get('/today', [authority], 'localhost', byAnyName)).location).toBe(
    'https://127.0.0.1:4175/today',
  );
  expect(await get('/today', [authority], 'elsewhere.example', byAnyName)).toMatchObject({
    status: 421,
    body: 'Inner Hum is not here. Open https://127.0.0.1:4175.',
  });
  await expect(get('/today', [])).rejects.toThrow(/certificate/i);
  server.close();
});

it('keeps its certificate, readable by its owner alone, until an address comes that it does not serve', async () => {
  const folder = join(newFolder(), 'lan');
  const first = await lanCertificate(folder, ['192.168.1.20']);
  expect(await lanCertificate(folder, ['192.168.1.20'])).toEqual(first);
  expect(statSync(join(folder, 'server.key')).mode & 0o077).toBe(0);
  const second = await lanCertificate(folder, ['192.168.1.20', '10.0.0.7']);
  expect(second.authority).not.toBe(first.authority);
  writeFileSync(join(folder, 'server.pem'), 'nonsense');
  expect((await lanCertificate(folder, ['10.0.0.7'])).chain).toContain('BEGIN CERTIFICATE');
});

it('says where it is, that it serves no data, and what trusting it means', async () => {
  const words = await lanWords(['https://192.168.1.20:4175']);
  expect(words).toContain('https://192.168.1.20:4175');
  expect(words).toContain('never data');
  expect(words).toContain('another, empty logbook');
  expect(words).toContain(CERTIFICATE_PATH);
  expect(words.split('\n').filter((line) => /[▀▄█]/.test(line)).length).toBeGreaterThan(10);
});
