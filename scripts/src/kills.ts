import { chromium, type BrowserContext, type Page } from '@playwright/test';
import { CHROMIUM, startServer } from './ownServer.ts';
import { measuredOn, writePage } from './report.ts';

// Plays takes with the stand-in and kills the page in the middle of each, at a random moment and in a random way;
// then returns and looks what is there. Prints what each kill cost, and what the worst one did.
//   npm run kills -- 200

const KILLS = Number(process.argv[2] ?? 200);
const PORT = 4186;
/** A take as it is found on return, straight from the database. */
interface Found {
  startedAt: number;
  lengthSeconds: number;
  state: string;
  storedSeconds: number;
  missingParts: number;
  frames: number;
  judged: boolean;
}

type Way = 'crash' | 'close' | 'leave' | 'reload';
const WAYS: Way[] = ['crash', 'close', 'leave', 'reload'];

async function kill(context: BrowserContext, page: Page, way: Way): Promise<void> {
  if (way === 'crash') {
    const devtools = await context.newCDPSession(page);
    const crashed = page.waitForEvent('crash');
    // A crashed page never answers.
    devtools.send('Page.crash').catch(() => undefined);
    await crashed;
  }
  if (way === 'leave') await page.goto('about:blank');
  if (way === 'reload') await page.reload({ waitUntil: 'commit' });
}

/** Reads every take that is no longer being recorded. */
function readTakes(): Promise<Found[]> {
  const ask = <T>(request: IDBRequest<T>) =>
    new Promise<T>((resolve, reject) => {
      request.onsuccess = () => resolve(request.result);
      request.onerror = () => reject(request.error);
    });
  interface Row {
    id: string;
    state: string;
    startedAt: number;
    lengthSeconds: number;
    sampleRateHz: number;
    analysis: unknown;
  }
  return (async () => {
    const db = await ask(indexedDB.open('inner-hum'));
    const stores = db.transaction(['takes', 'chunks', 'frames']);
    const takes = (await ask(stores.objectStore('takes').getAll())) as Row[];
    const found = [];
    for (const { id, state, startedAt, lengthSeconds, sampleRateHz, analysis } of takes) {
      const chunks = (await ask(stores.objectStore('chunks').index('takeId').getAll(id))) as {
        index: number;
        samples: Float32Array;
      }[];
      chunks.sort((a, b) => a.index - b.index);
      const frames = (await ask(stores.objectStore('frames').get(id))) as
        { columns: { f0Hz: Float32Array } } | undefined;
      found.push({
        startedAt,
        lengthSeconds,
        state,
        storedSeconds: chunks.reduce((sum, { samples }) => sum + samples.length, 0) / sampleRateHz,
        missingParts: chunks.filter(({ index }, i) => index !== i).length,
        frames: frames?.columns.f0Hz.length ?? 0,
        judged: analysis !== null,
      });
    }
    db.close();
    return found;
  })();
}

/** Waits until nothing is being recovered any more, and returns all takes, the newest last. */
async function findTakes(page: Page, wanted: number): Promise<Found[]> {
  for (let tries = 0; ; tries++) {
    const takes = await page.evaluate(readTakes);
    const waiting = takes.length < wanted || takes.some(({ state }) => state !== 'kept');
    if (!waiting || tries > 100) return takes.sort((a, b) => a.startedAt - b.startedAt);
    await page.waitForTimeout(100);
  }
}

const server = await startServer(PORT);
const browser = await chromium.launch(CHROMIUM);
const context = await browser.newContext({ baseURL: server.url });
// The compiler names inner functions by a helper that pages do not have.
await context.addInitScript('globalThis.__name = (named) => named');
// The page tells that it lives, fifty times a second: the last time it did so is when it died.
let beat = 0;
await context.exposeFunction('tellBeat', (time: number) => (beat = time));
await context.addInitScript('setInterval(() => globalThis.tellBeat(Date.now()), 20)');
let page = await context.newPage();
await page.goto('/');
await page.getByRole('button', { name: 'stand-in player' }).click();
await page.getByRole('button', { name: 'Play the first swell' }).click();

/** Sound before the tone that belongs to a take, and how long the tone must last to begin one. */
const BEFORE_PLAYING_MS = 700;
const lostMs: number[] = [];
let broken = 0;
let kept = 0;
for (let n = 1; n <= KILLS; n++) {
  const way = WAYS[Math.floor(Math.random() * WAYS.length)];
  await page.goto('/stand/swell?beats=12');
  await page.locator('main[data-phase="armed"]').waitFor();
  await page.keyboard.press('Space');
  await page.locator('main[data-phase="playing"]').waitFor();
  const playing = Date.now();
  await page.waitForTimeout(200 + 3000 * Math.random());
  const next = way === 'crash' || way === 'close' ? await context.newPage() : page;
  if (way === 'close') await page.close();
  else await kill(context, page, way);
  const died = beat;
  if (way === 'crash') await page.close();
  page = next;
  await page.goto('/takes');
  await page.getByRole('heading', { level: 1 }).waitFor();
  const takes = await findTakes(page, kept + 1);
  const take = takes.at(-1);
  if (!take || takes.length === kept) {
    lostMs.push(died - playing + BEFORE_PLAYING_MS);
    console.log(`${n} ${way}: nothing kept, ${Math.round(lostMs[n - 1])} ms lost`);
    continue;
  }
  kept = takes.length;
  const whole =
    take.state === 'kept' &&
    take.judged &&
    take.missingParts === 0 &&
    Math.abs(take.storedSeconds - take.lengthSeconds) < 0.001 &&
    Math.abs(take.frames - 100 * take.lengthSeconds) <= 2;
  if (!whole) broken++;
  lostMs.push(died - take.startedAt - 1000 * take.lengthSeconds);
  console.log(
    `${n} ${way}: ${take.lengthSeconds.toFixed(2)} s kept, ${Math.round(lostMs[n - 1])} ms lost${whole ? '' : ', BROKEN'}`,
  );
}
const chromiumVersion = browser.version();
await browser.close();
server.stop();

lostMs.sort((a, b) => a - b);
const at = (share: number) => Math.round(lostMs[Math.floor(share * (lostMs.length - 1))]);
const over = lostMs.filter((lost) => lost > 1000).length;
const summary = `${lostMs.length} kills: lost median ${at(0.5)} ms, 95 % ${at(0.95)} ms, worst ${at(1)} ms; over a second ${over}; broken rows ${broken}`;
console.log(summary);
if (lostMs.length >= 200)
  writePage(
    'kills.md',
    `# What a killed page loses

\`npm run kills -- 200\` plays takes with the stand-in and, at a random moment of each, crashes, closes, leaves or reloads
the page; then it returns and looks what the database holds. A run of 200 or more writes this page.

${measuredOn(chromiumVersion)}

${summary}.

Lost is the time from the first sample of the take to the last sign of life of the page, less what was kept. Less than
nothing is possible: the worker may write on for a moment after the page has fallen silent.
`,
  );
process.exitCode = broken > 0 || over > 0 ? 1 : 0;
