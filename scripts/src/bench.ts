import { chromium } from '@playwright/test';
import { measureAnalysis } from './benchAnalysis.ts';
import { measureFalsePitch, measureHearing } from './benchHearing.ts';
import { measureFirstLoad, measurePage } from './benchPage.ts';
import { CHROMIUM, startServer } from './ownServer.ts';
import { measuredOn, writePage } from './report.ts';

// npm run bench: measures and writes docs/benchmarks.md.
const PORT = 4187;

const speed = measureAnalysis();
const hearing = measureHearing();
const falsePitch = measureFalsePitch();
const server = await startServer(PORT);
const browser = await chromium.launch(CHROMIUM);
const page = await measurePage(browser, server.url);
const firstLoadBytes = await measureFirstLoad(browser, server.url);
const chromiumVersion = browser.version();
await browser.close();
server.stop();

const ms = (value: number) => `${value.toFixed(1)} ms`;
const times = (value: number) => `${value.toFixed(1)} times real time`;
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
  ['listener: pitch, clarity, level, colour, breath', times(speed.listenerRealTime), '48 kHz, one core'],
  ['pitchy: pitch and clarity, window 2048', times(speed.pitchyRealTime), 'the same sound, the same run'],
  ['listener against pitchy', `${(speed.listenerRealTime / speed.pitchyRealTime).toFixed(2)} : 1`, ''],
  ['script of a first visit, gzipped', `${(firstLoadBytes / 1024).toFixed(0)} kB`, 'with worker'],
];
const cents = (value: number | null) => (value === null || Number.isNaN(value) ? '-' : value.toFixed(3));
const percent = (value: number) => value.toFixed(2);
const hearingTable = hearing
  .map(
    (row) =>
      `| ${row.kind} | ${row.ear} | ${percent(row.missedPercent)} | ${percent(row.grossPercent)} | ${percent(row.octavePercent)} | ${cents(row.medianCents)} | ${cents(row.p95Cents)} | ${cents(row.boundCents)} |`,
  )
  .join('\n');
const table = rows.map((row) => `| ${row.join(' | ')} |`).join('\n');
writePage(
  'benchmarks.md',
  `# Benchmarks

\`npm run bench\` measures these and writes this page. Machines differ and are noisy: compare ratios of one run.

${measuredOn(chromiumVersion)}

| what | figure | |
|---|---|---|
${table}

- **sampleToInkMs**: from the arrival of the sample in the middle of a frame in the audio thread to the end of the drawing
  that inks the frame, on the audio clock. It holds half the longest analysis window (43 ms), the frames the pitch path waits
  for, the way through the worker, and the wait for the next of 30 drawings a second.
- **drawing**: main-thread time of each animation callback that draws while a take of an airy stand-in plays, at 1280 x 800.

## The ear

Exact tones of 65-2500 Hz at 48 kHz, made by the bench itself, a frame every 10 ms, settled sound only (0.15 s from
either end). Cents over the frames that are not gross (over 50 cents off). The bound is the median error that no unbiased
estimator can better in the window of the frame (Cramer-Rao); a frame that looks at its neighbours may come closer.

| sound | ear | missed % | gross % | octave % | median cents | 95 % cents | bound |
|---|---|---|---|---|---|---|---|
${hearingTable}

Pitch heard in the hiss of a quiet room: ${falsePitch.map(({ ear, percent: share }) => `${ear} ${percent(share)} %`).join(', ')}.

What a killed page loses: [kills.md](kills.md).
`,
);
for (const row of hearing)
  console.log(
    `${row.kind}, ${row.ear}: median ${cents(row.medianCents)}, 95 % ${cents(row.p95Cents)} cents; missed ${percent(row.missedPercent)} %, gross ${percent(row.grossPercent)} %`,
  );
for (const row of rows) console.log(row.filter(Boolean).join(': '));
