import { chromium, type BrowserContext, type Page } from '@playwright/test';
import { CHROMIUM, startServer } from './ownServer.ts';

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
      const chunks = (await ask(
        stores.objectStore('chunks').index('takeId').getAll(id),
      )) as { index: number; samples: Float32Array }[];
      chunks.sort((a, b) => a.index - b.index);
      const frames = (await ask(stores.objectStore('frames').get(id))) as
        | { columns: { f0Hz: Float32Array } }
        | undefined;
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

/** Waits until as many takes are finished as were begun, and returns the newest. */
async function findTake(page: Page, wanted: number): Promise<Found[]> {
  for (let tries = 0; ; tries++) {
    const takes = await page.evaluate(readTakes);
    const done = takes.filter(({ state }) => state === 'kept');
    if (done.length >= wanted || tries > 100) return takes.sort((a, b) => a.startedAt - b.startedAt);
    await page.waitForTimeout(100);
  }
}

const server = await startServer(PORT);
const browser = await chromium.launch(CHROMIUM);
const context = await browser.newContext({ baseURL: server.url });
// The compiler names inner functions by a helper that pages do not have.
await context.addInitScript('globalThis.__name = (named) => named');
let page = await context.newPage();
await page.goto('/');
await page.getByRole('button', { name: 'stand-in player' }).click();
await page.getByRole('button', { name: 'Play the first swell' }).click();

const lostMs: number[] = [];
let broken = 0;
for (let n = 1; n <= KILLS; n++) {
  const way = WAYS[Math.floor(Math.random() * WAYS.length)];
  await page.goto('/stand/swell?beats=12');
  await page.locator('main[data-phase="armed"]').waitFor();
  await page.keyboard.press('Space');
  await page.locator('main[data-phase="playing"]').waitFor();
  await page.waitForTimeout(200 + 3000 * Math.random());
  const before = Date.now();
  const next = way === 'crash' || way === 'close' ? await context.newPage() : page;
  if (way === 'close') await page.close();
  else await kill(context, page, way);
  const after = Date.now();
  if (way === 'crash') await page.close();
  page = next;
  await page.goto('/takes');
  await page.getByRole('heading', { level: 1 }).waitFor();
  const takes = await findTake(page, n);
  const take = takes.at(-1);
  if (!take || takes.length !== n) {
    console.log(`${n} ${way}: a take is missing`);
    broken++;
    break;
  }
  const whole =
    take.state === 'kept' &&
    take.judged &&
    take.missingParts === 0 &&
    Math.abs(take.storedSeconds - take.lengthSeconds) < 0.001 &&
    Math.abs(take.frames - 100 * take.lengthSeconds) <= 2;
  if (!whole) broken++;
  // The page dies somewhere between the two clock readings: the later one is the worst that can be.
  const lost = after - take.startedAt - 1000 * take.lengthSeconds;
  lostMs.push(lost);
  const least = before - take.startedAt - 1000 * take.lengthSeconds;
  console.log(
    `${n} ${way}: ${take.lengthSeconds.toFixed(1)} s kept, ${Math.round(least)}-${Math.round(lost)} ms lost${whole ? '' : ', BROKEN'}`,
  );
}
await browser.close();
server.stop();

lostMs.sort((a, b) => a - b);
const at = (share: number) => Math.round(lostMs[Math.floor(share * (lostMs.length - 1))]);
const over = lostMs.filter((lost) => lost > 1000).length;
console.log(
  `${lostMs.length} kills: lost median ${at(0.5)} ms, 95 % ${at(0.95)} ms, worst ${at(1)} ms; over a second ${over}; broken rows ${broken}`,
);
process.exitCode = broken > 0 || over > 0 ? 1 : 0;
