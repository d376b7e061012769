import { existsSync } from 'node:fs';
import { createServer as createHttp } from 'node:http';
import { createServer as createHttps } from 'node:https';
import { homedir } from 'node:os';
import { join } from 'node:path';
import { createApp } from './app.ts';
import { choosePort } from './choosePort.ts';
import { lanAddresses } from './lanAddresses.ts';
import { lanCertificate } from './lanCertificate.ts';
import { lanWords } from './lanWords.ts';

const demo = process.argv.includes('--demo');
const lan = process.argv.includes('--lan');
const distDir = join(import.meta.dirname, '../../web/dist');

function stop(sentence: string): never {
  console.error(sentence);
  process.exit(1);
}

if (!existsSync(join(distDir, 'index.html')))
  stop('The app is not built yet: run npm start or npm run demo.');
const port = choosePort(process.env.PORT, demo, lan);
if (port === null) stop(`PORT must be a whole number from 1 to 65535, not "${process.env.PORT}".`);

/** Plain and for this machine alone, or with a certificate of its own for the house. */
async function start() {
  if (!lan) {
    const origin = `http://127.0.0.1:${port}`;
    const app = createApp({ distDir, origins: [origin], demo, authority: null });
    return { server: createHttp(app), host: '127.0.0.1', words: `Inner Hum is at ${origin}` };
  }
  const addresses = lanAddresses();
  if (addresses.length === 0)
    stop('This machine has no address in a house network: connect it to the Wi-Fi that the phone uses.');
  const origins = addresses.map((address) => `https://${address}:${port}`);
  const folder = join(process.env.INNER_HUM_HOME ?? join(homedir(), '.inner-hum'), 'lan');
  const { key, chain, authority } = await lanCertificate(folder, addresses);
  const app = createApp({ distDir, origins, demo, authority });
  return { server: createHttps({ key, cert: chain }, app), host: '0.0.0.0', words: await lanWords(origins) };
}

/** Who takes longer than this to ask holds a place for nothing. */
const HEADERS_MS = 5_000;
const REQUEST_MS = 15_000;

const { server, host, words } = await start();
server.headersTimeout = HEADERS_MS;
server.requestTimeout = REQUEST_MS;
// Nothing is ever sent to this server but questions.
server.maxHeadersCount = 100;
server.on('listening', () => console.log(`${words}${demo ? ' (demo data)' : ''}`));
server.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code === 'EADDRINUSE')
    stop(`Port ${port} is taken by another program: end that program, or set PORT to a free port.`);
  stop(`The server could not start on port ${port}: ${error.message}`);
});
server.listen(port, host);
