import { chromium, type BrowserContext, type Page } from '@playwright/test';
import { CHROMIUM, startServer } from './ownServer.ts';
import { measuredOn, writePage } from './report.ts';

// Plays takes with the simulated player and kills the page in the middle of each, at a random moment and in a random way;
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
  /** Left unfinished and finished on return; a take that is not had ended before the kill came. */
  recovered: boolean;
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

interface Seen {
  /** Takes in all, and of these not yet finished. */
  count: number;
  waiting: number;
  newest: Found | null;
}

/** Looks how many takes there are, and reads the newest. */
function look(): Promise<Seen> {
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
    recovered: boolean;
  }
  return (async () => {
    const db = await ask(indexedDB.open('inner-hum'));
    const stores = db.transaction(['takes', 'chunks', 'sounds', 'frames']);
    const takes = stores.objectStore('takes');
    const count = await ask(takes.count());
    const waiting = await ask(takes.index('state').count('recording'));
    const row = (await ask(takes.index('startedAt').openCursor(null, 'prev')))?.value as Row | undefined;
    if (!row) {
      db.close();
      return { count, waiting, newest: null };
    }
    const { id, state, startedAt, lengthSeconds, sampleRateHz, analysis, recovered } = row;
    const chunks = (await ask(stores.objectStore('chunks').index('takeId').getAll(id))) as {
      index: number;
      samples: Float32Array;
    }[];
    chunks.sort((a, b) => a.index - b.index);
    // Once it has ended its parts are packed into one piece.
    const sound = (await ask(stores.objectStore('sounds').get(id))) as { sampleCount: number } | undefined;
    const frames = (await ask(stores.objectStore('frames').get(id))) as
      { columns: { f0Hz: Float32Array } } | undefined;
    db.close();
    const samples = sound?.sampleCount ?? chunks.reduce((sum, chunk) => sum + chunk.samples.length, 0);
    const newest = {
      startedAt,
      lengthSeconds,
      state,
      storedSeconds: samples / sampleRateHz,
      missingParts: chunks.filter(({ index }, i) => index !== i).length,
      frames: frames?.columns.f0Hz.length ?? 0,
      judged: analysis !== null,
      recovered,
    };
    return { count, waiting, newest };
  })();
}

/** Waits until nothing is being recovered any more and so many takes are there, or long enough. */
async function findTakes(page: Page, wanted: number): Promise<Seen> {
  for (let tries = 0; ; tries++) {
    const seen = await page.evaluate(look);
    if ((seen.count >= wanted && seen.waiting === 0) || tries > 100) return seen;
    await page.waitForTimeout(100);
  }
}

/** Sound before the tone that belongs to a take, and how long the tone must last to begin one. */
const BEFORE_PLAYING_MS = 700;
/** How far the listener looks ahead, in frames. */
const LAST_FRAMES = 15;
/** Players at once, each with a browser storage of its own: more would take the sound from each other on two cores. */
const AT_ONCE = 2;

const server = await startServer(PORT);
const browser = await chromium.launch(CHROMIUM);
const lostMs: number[] = [];
let broken = 0;
let over = 0;

/** One player whose page is killed again and again, until enough were. */
async function playAndDie(): Promise<void> {
  // A small window: what is drawn is not what is measured, and takes the most time.
  const context = await browser.newContext({
    baseURL: server.url,
    serviceWorkers: 'block',
    viewport: { width: 480, height: 320 },
  });
  // The compiler names inner functions by a helper that pages do not have.
  await context.addInitScript('globalThis.__name = (named) => named');
  // The page tells that it lives, fifty times a second: the last time it did so is when it died.
  let beat = 0;
  await context.exposeFunction('tellBeat', (time: number) => (beat = time));
  await context.addInitScript('setInterval(() => globalThis.tellBeat(Date.now()), 20)');
  let page = await context.newPage();
  await page.goto('/');
  await page.getByRole('radio', { name: 'simulated player' }).click();
  await page.getByRole('button', { name: 'Play the first swell' }).click();
  let kept = 0;
  while (begun < KILLS) {
    const n = ++begun;
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
    // Whatever room one returns to, what was left unfinished is finished.
    await page.goto('/case');
    await page.getByRole('heading', { level: 1 }).waitFor();
    const { count, newest: take } = await findTakes(page, kept + 1);
    if (!take || count === kept) {
      const lost = died - playing + BEFORE_PLAYING_MS;
      lostMs.push(lost);
      console.log(`${n} ${way}: nothing kept, ${Math.round(lost)} ms lost`);
      continue;
    }
    kept = count;
    const whole =
      take.state === 'kept' &&
      take.judged &&
      take.missingParts === 0 &&
      Math.abs(take.storedSeconds - take.lengthSeconds) < 0.001 &&
      // The last frames of a take that ends as it should were not yet heard when it did.
      Math.abs(take.frames - 100 * take.lengthSeconds) <= (take.recovered ? 2 : LAST_FRAMES);
    if (!whole) broken++;
    const lost = take.recovered ? died - take.startedAt - 1000 * take.lengthSeconds : 0;
    if (!take.recovered) over++;
    lostMs.push(lost);
    console.log(
      `${n} ${way}: ${take.lengthSeconds.toFixed(2)} s kept, ${Math.round(lost)} ms lost${whole ? '' : ', BROKEN'}`,
    );
  }
  await context.close();
}

let begun = 0;
await Promise.all(Array.from({ length: AT_ONCE }, playAndDie));
const chromiumVersion = browser.version();
await browser.close();
server.stop();

lostMs.sort((a, b) => a - b);
const at = (share: number) => Math.round(lostMs[Math.floor(share * (lostMs.length - 1))]);
const late = lostMs.filter((lost) => lost > 1000).length;
const summary = `${lostMs.length} kills: lost median ${at(0.5)} ms, 95 % ${at(0.95)} ms, worst ${at(1)} ms; over a second ${late}; broken rows ${broken}; ${over} takes were over before their kill came`;
console.log(summary);
if (lostMs.length >= 200)
  writePage(
    'kills.md',
    `# What a killed page loses

\`npm run kills -- 200\` plays takes with the simulated player and, at a random moment of each, crashes, closes, leaves or reloads
the page; then it returns and looks what the database holds. A run of 200 or more writes this page.

${measuredOn(chromiumVersion)}

${summary}.

Lost is the time from the first sample of the take to the last sign of life of the page, less what was kept. Less than
nothing is possible: the worker may write on for a moment after the page has fallen silent.
`,
  );
process.exitCode = broken > 0 || late > 0 ? 1 : 0;
