import { chromium } from '@playwright/test';
import { inPage } from './inPage.ts';
import { CHROMIUM, startServer } from './ownServer.ts';
import { measuredOn, writePage } from './report.ts';

const PORT = 4188;

/** What the page tells; see `measure` there. Times in ms. */
interface Opened {
  readMs: number;
  fitMs: number;
  days: number;
}
interface Found {
  filled: { days: number; takes: number; notes: number };
  first: Opened;
  again: Opened;
  all: Opened;
  addMs: number;
}

/** Ten years of practice in a real browser's database; writes docs/map.md. */
export async function benchMap(): Promise<void> {
  const server = await startServer(PORT, '--demo');
  const browser = await chromium.launch(CHROMIUM);
  const page = await browser.newPage({ baseURL: server.url });
  await page.goto('/takes');
  await page.getByRole('heading', { level: 1, name: 'Takes' }).waitFor({ timeout: 120_000 });
  // Where nothing reads the takes again whenever one is added.
  await page.goto('/case');
  await page.getByRole('heading', { level: 1, name: 'Case' }).waitFor();
  const found = await inPage<Found>(page, 'mapInPage.ts', 'measure');
  // The room itself, from the press to the drawn names.
  await page.reload();
  await page.getByRole('heading', { level: 1, name: 'Case' }).waitFor();
  const openRoom = async () => {
    const begun = Date.now();
    await page.getByRole('link', { name: 'Horn map' }).click();
    await page.locator('[data-note="60"]').waitFor();
    const ms = Date.now() - begun;
    await page.getByRole('link', { name: 'Case' }).click();
    await page.getByRole('heading', { level: 1, name: 'Case' }).waitFor();
    return ms;
  };
  const [firstRoomMs, roomMs] = [await openRoom(), await openRoom()];
  const version = browser.version();
  await browser.close();
  server.stop();

  const ms = (value: number) => `${value.toFixed(0)} ms`;
  const opened = ({ readMs, fitMs, days }: Opened) =>
    `${ms(readMs + fitMs)} (read ${ms(readMs)}, fit ${ms(fitMs)}; ${days} days)`;
  const rows = [
    ['map of the last year, first time', opened(found.first), 'wanted: under 200 ms'],
    ['map of the last year, again', opened(found.again), 'wanted: under 200 ms'],
    ['map of all ten years', opened(found.all), ''],
    ['a take added: record, frames and its day made anew', ms(found.addMs), 'wanted: under 50 ms'],
    ['the room, from the press to its notes, first time', ms(firstRoomMs), 'with its code loaded'],
    ['the room, again', ms(roomMs), ''],
  ];
  writePage(
    'map.md',
    `# The map after ten years

\`npm run bench -- map\` measures these in a browser and writes this page. Machines differ and are noisy.

${measuredOn(version)} ${found.filled.takes} takes, ${found.filled.notes} notes on ${found.filled.days} days, made by the simulated
horn of the core's tests.

| what | figure | |
|---|---|---|
${rows.map((row) => `| ${row.join(' | ')} |`).join('\n')}
`,
  );
  for (const row of rows) console.log(row.filter(Boolean).join(': '));
}
