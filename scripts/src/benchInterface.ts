import { chromium } from '@playwright/test';
import { measureFiles } from './benchFiles.ts';
import { measureFirstLoad, measurePage } from './benchPage.ts';
import { CHROMIUM, startServer } from './ownServer.ts';
import { measuredOn, writePage } from './report.ts';

const PORT = 4187;

/** Measures the page in a real browser and writes docs/benchmarks.md. */
export async function benchInterface(): Promise<void> {
  const server = await startServer(PORT);
  const browser = await chromium.launch(CHROMIUM);
  const page = await measurePage(browser, server.url);
  const firstLoadBytes = await measureFirstLoad(browser, server.url);
  const files = await measureFiles(browser, server.url);
  const chromiumVersion = browser.version();
  await browser.close();
  server.stop();

  const ms = (value: number) => `${value.toFixed(1)} ms`;
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
    ['script of a first visit, gzipped', `${(firstLoadBytes / 1024).toFixed(0)} kB`, 'with worker'],
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
  for, the way through the worker, and the wait for the next of 30 drawings a second.
- **recordings, archive**: through the storeroom worker, in the rooms a player would use (Takes, Safe keeping).
- **drawing**: main-thread time of each animation callback that draws while a take of an airy stand-in plays, at 1280 x 800.

What the ear hears, and how truly: [hearing.md](hearing.md). What a killed page loses: [kills.md](kills.md).
`,
  );
  for (const row of rows) console.log(row.filter(Boolean).join(': '));
}
