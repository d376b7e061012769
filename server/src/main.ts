import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { createApp } from './app.ts';
import { choosePort } from './choosePort.ts';

const demo = process.argv.includes('--demo');
const distDir = join(import.meta.dirname, '../../web/dist');

function stop(sentence: string): never {
  console.error(sentence);
  process.exit(1);
}

if (!existsSync(join(distDir, 'index.html')))
  stop('The app is not built yet: run npm start or npm run demo.');
const port = choosePort(process.env.PORT, demo);
if (port === null) stop(`PORT must be a whole number from 1 to 65535, not "${process.env.PORT}".`);

const server = createApp({ distDir, port, demo }).listen(port, '127.0.0.1');
server.on('listening', () =>
  console.log(`Inner Hum is at http://127.0.0.1:${port}${demo ? ' (demo data)' : ''}`),
);
server.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code === 'EADDRINUSE')
    stop(`Port ${port} is taken by another program: end that program, or set PORT to a free port.`);
  stop(`The server could not start on port ${port}: ${error.message}`);
});
