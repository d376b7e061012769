import { chromium } from '@playwright/test';
import { measureFiles } from './benchFiles.ts';
import { measureHours } from './benchHours.ts';
import { measureFirstLoad, measurePage } from './benchPage.ts';
import { measureYears } from './benchYears.ts';
import { CHROMIUM, startServer } from './ownServer.ts';
import { measuredOn, writePage } from './report.ts';

const PORT = 4187;
const DEMO_PORT = 4189;

/** Measures the page in a real browser and writes docs/benchmarks.md. */
export async function benchInterface(): Promise<void> {
  const server = await startServer(PORT);
  const browser = await chromium.launch(CHROMIUM);
  const page = await measurePage(browser, server.url);
  const first = await measureFirstLoad(browser, server.url);
  const hours = await measureHours(browser, server.url);
  const files = await measureFiles(browser, server.url);
  const demo = await startServer(DEMO_PORT, '--demo');
  const years = await measureYears(browser, demo.url);
  demo.stop();
  const chromiumVersion = browser.version();
  await browser.close();
  server.stop();

  const ms = (value: number) => `${value.toFixed(1)} ms`;
  const kb = (bytes: number) => `${(bytes / 1024).toFixed(0)} kB`;
  const mb = (values: readonly number[]) => `${values.map((value) => value.toFixed(1)).join(', ')} MB`;
  const rows = [
    ['sampleToInkMs, median', ms(page.sampleToInkMs.median), `${page.sampleToInkMs.count} frames`],
    ['sampleToInkMs, 95th percentile', ms(page.sampleToInkMs.p95), ''],
    ['drawing on the main thread, median', ms(page.drawMs.median), `${page.drawMs.count} drawings`],
    ['drawing on the main thread, 95th percentile', ms(page.drawMs.p95), ''],
    [
      'the same with the CPU slowed 4 times, median',
      ms(page.throttledDrawMs.median),
      `${page.throttledDrawMs.count} drawings`,
    ],
    [
      'the same with the CPU slowed 4 times, 95th percentile',
      ms(page.throttledDrawMs.p95),
      page.throttledDrawMs.p95 <= 8 ? 'wanted: at most 8 ms' : 'over the 8 ms wanted',
    ],
    [
      'tasks over 50 ms during that take',
      String(page.throttledLongTasksMs.length),
      page.throttledLongTasksMs.length === 0
        ? 'wanted: none'
        : `the longest ${Math.max(...page.throttledLongTasksMs).toFixed(0)} ms; wanted: none`,
    ],
    ['script before the first room stands, gzipped', kb(first.shownBytes), 'wanted: at most 250 kB'],
    ['script until a first visit is quiet, gzipped', kb(first.quietBytes), 'with the listener and all words'],
    ...years.rooms.map(({ name, ms: again, firstMs }) => [
      `after ten years: into ${name}`,
      `${again.toFixed(0)} ms`,
      `the first time ${firstMs.toFixed(0)} ms`,
    ]),
    [
      'heap of the page, take after take',
      mb(hours.pageMb),
      `after 20, 40 and 60 takes, ${hours.seconds.toFixed(0)} s`,
    ],
    ['all that its process holds', mb(hours.processMb), 'with the listener and the sound'],
    [
      'recordings brought in, 16 bits at 48 kHz',
      `${files.bringInSeconds.toFixed(1)} s`,
      `${files.files} files, ${files.soundMinutes.toFixed(1)} minutes, each heard, parted and kept`,
    ],
    ['longest task of the page meanwhile', ms(files.longestTaskMs), ''],
    [
      'a minute of stored sound',
      `${(files.bytesPerMinute / 1e6).toFixed(2)} MB`,
      `packed without loss; ${((4 * 60 * 48000) / 1e6).toFixed(2)} MB as it was recorded`,
    ],
    [
      'everything saved as an archive',
      `${files.archiveSeconds.toFixed(1)} s`,
      `${files.files} takes, ${(files.archiveBytes / 1e6).toFixed(1)} MB`,
    ],
    ['the same brought back in another browser', `${files.bringBackSeconds.toFixed(1)} s`, ''],
  ];
  const table = rows.map((row) => `| ${row.join(' | ')} |`).join('\n');
  writePage(
    'benchmarks.md',
    `# Benchmarks

\`npm run bench -- page\` measures these and writes this page. Machines differ and are noisy: compare ratios of one run.

${measuredOn(chromiumVersion)}

| what | figure | |
|---|---|---|
${table}

- **sampleToInkMs**: from the arrival of the sample in the middle of a frame in the audio thread to the end of the drawing
  that inks the frame, on the audio clock. It holds half an analysis window (21 ms, 43 for low notes), the frames the pitch path waits
  for, the way through the worker, and the wait for the next drawing.
- **recordings, archive**: through the storageWorker worker, in the rooms a player would use (Takes, Safe keeping).
- **after ten years**: from the press on a room's name to the second frame in which it stands with what it shows, once its code is
  there; wanted: under 150 ms. ${years.takes} takes on ${years.days} days: the demo's twelve weeks laid out until they reach back ten years.
- **heap, process**: one short take after the other on the Stand; two hours of practice bring about 240.
- **drawing**: main-thread time of each animation callback that draws while a take of an airy simulated player plays, at 1280 x 800.

What the ear hears, and how truly: [hearing.md](hearing.md). What a killed page loses: [kills.md](kills.md).
`,
  );
  for (const row of rows) console.log(row.filter(Boolean).join(': '));
}
