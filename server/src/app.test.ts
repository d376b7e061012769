import { once } from 'node:events';
import { mkdtempSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { request, type IncomingHttpHeaders, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, expect, it, vi } from 'vitest';
import { createApp } from './app.ts';
import { choosePort } from './choosePort.ts';

let server: Server;
let port: number;
let distDir: string;

beforeAll(async () => {
  distDir = mkdtempSync(join(tmpdir(), 'inner-hum-'));
  mkdirSync(join(distDir, 'assets'));
  writeFileSync(join(distDir, 'assets', 'a-123.js'), 'export {};');
  writeFileSync(
    join(distDir, 'index.html'),
    '<meta content="__MODE__"><style nonce="__CSP_NONCE__"></style>',
  );
  writeFileSync(join(distDir, '..', 'inner-hum-secret.txt'), 'secret');
  server = createApp({
    distDir,
    origins: ['http://127.0.0.1:4170'],
    demo: true,
    authority: null,
  }).listen(0, '127.0.0.1');
  await once(server, 'listening');
  port = (server.address() as AddressInfo).port;
});
afterAll(() => server.close());

function get(
  path: string,
  host = '127.0.0.1',
): Promise<{ status: number; headers: IncomingHttpHeaders; body: string }> {
  return new Promise((resolve, reject) => {
    request({ host: '127.0.0.1', port, path, headers: { host } }, (response) => {
      let body = '';
      response.on('data', (part: Buffer) => (body += part.toString()));
      response.on('end', () =>
        resolve({ status: response.statusCode ?? 0, headers: response.headers, body }),
      );
    })
      .on('error', reject)
      .end();
  });
}

it('serves the page of the newest build, and the last one while it is being built', async () => {
  const built = readFileSync(join(distDir, 'index.html'), 'utf8');
  rmSync(join(distDir, 'index.html'));
  expect((await get('/today')).body).toContain('content="demo"');
  writeFileSync(join(distDir, 'index.html'), `${built}<script src="/assets/b-456.js"></script>`);
  expect((await get('/today')).body).toContain('b-456.js');
  writeFileSync(join(distDir, 'index.html'), built);
});

it('serves the app at every address with a fresh nonce and a strict policy', async () => {
  const [first, second] = [await get('/'), await get('/takes/abc?x=1')];
  for (const { status, headers, body } of [first, second]) {
    const policy = String(headers['content-security-policy']);
    const nonce = /style-src 'self' 'nonce-([^']+)'/.exec(policy)?.[1];
    expect(status).toBe(200);
    expect(body).toBe(`<meta content="demo"><style nonce="${nonce}"></style>`);
    expect(policy).toContain("default-src 'none'");
    expect(policy).not.toMatch(/unsafe|https?:/);
    expect(headers['cache-control']).toBe('no-store');
  }
  expect(first.body).not.toBe(second.body);
});

it('keeps the origin: other names of this machine are sent to 127.0.0.1', async () => {
  const { status, headers } = await get('/takes?x=1', 'localhost:4170');
  expect([status, headers.location]).toEqual([308, 'http://127.0.0.1:4170/takes?x=1']);
});

it('gives nothing from outside its folder, however the way there is written', async () => {
  for (const path of [
    '/../inner-hum-secret.txt',
    '/assets/../../inner-hum-secret.txt',
    '/%2e%2e/inner-hum-secret.txt',
    '/assets/%2e%2e%2f%2e%2e%2finner-hum-secret.txt',
    '/..%5cinner-hum-secret.txt',
    '//etc/passwd.txt',
    '/%00.txt',
    '/.env',
  ]) {
    const { body, status, headers } = await get(path);
    expect(body, path).not.toContain('secret');
    expect(body, path).not.toContain('root:');
    expect([200, 308, 400, 403, 404], path).toContain(status);
    expect(headers['content-security-policy'], path).toContain("default-src 'none'");
  }
});

it('answers an address that cannot be read with 400 and a sentence, and shows nothing of itself', async () => {
  const said = vi.spyOn(console, 'error').mockImplementation(() => undefined);
  for (const path of ['/%', '/%E0%A4%A', '/takes/%c0%ae', '/assets/%ZZ.js']) {
    const { status, body, headers } = await get(path);
    expect([status, body], path).toEqual([400, 'This address cannot be read.']);
    expect(headers['content-security-policy'], path).toContain("default-src 'none'");
  }
  expect(said).not.toHaveBeenCalled();
  said.mockRestore();
});

it('refuses a name that is none of this machine', async () => {
  for (const host of ['evil.example', 'evil.example:4170', '127.0.0.1.evil.example', '169.254.169.254']) {
    const { status, headers, body } = await get('/', host);
    expect([status, headers.location], host).toEqual([421, undefined]);
    expect(body, host).toBe('Inner Hum is not here. Open http://127.0.0.1:4170.');
  }
});

it('may use the microphone and keep the light on, nothing else', async () => {
  const permissions = String((await get('/')).headers['permissions-policy']).split(', ');
  expect(permissions.filter((each) => !each.endsWith('=()'))).toEqual([
    'microphone=(self)',
    'screen-wake-lock=(self)',
  ]);
});

it('sends nobody away from its own origin', async () => {
  const { headers } = await get('//evil.example/x', 'localhost');
  expect(headers.location).toBe('http://127.0.0.1:4170/evil.example/x');
});

it('serves hashed assets for ever, and says 404 for files that are not there', async () => {
  const asset = await get('/assets/a-123.js');
  expect(asset.headers['cache-control']).toContain('immutable');
  expect(asset.headers['content-security-policy']).toContain("default-src 'none'");
  expect((await get('/assets/gone.js')).status).toBe(404);
});

it('has one port for the own data and one for the demo, unless PORT is a port', () => {
  expect([choosePort(undefined, false), choosePort('', true), choosePort('5000', true)]).toEqual([
    4170, 4180, 5000,
  ]);
  expect([choosePort('0', false), choosePort('eighty', false), choosePort('70000', false)]).toEqual([
    null,
    null,
    null,
  ]);
});
