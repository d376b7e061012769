import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import WebSocket from 'ws';

// Firefox as Debian has it, driven over WebDriver BiDi (W3C), of which this is the little that a journey needs.

export const FIREFOX = '/usr/bin/firefox-esr';
const START_MS = 30_000;
const LOOK_MS = 100;

interface Answer {
  id?: number;
  type: 'success' | 'error' | 'event';
  method?: string;
  params?: { text?: string | null; level?: string };
  result?: Record<string, unknown>;
  error?: string;
  message?: string;
}

export interface Firefox {
  /** What is saved lands here. */
  downloads: string;
  /** Errors of the page's own code. */
  errors: readonly string[];
  goto(url: string): Promise<void>;
  /** Runs a function in the page; what it is given and answers passes as JSON. */
  run<Given, Answered>(work: (given: Given) => Answered | Promise<Answered>, given: Given): Promise<Answered>;
  /** Waits until the page answers with something. */
  until<Given, Answered>(
    work: (given: Given) => Answered | null | false,
    given: Given,
    milliseconds?: number,
  ): Promise<Answered>;
  press(key: string): Promise<void>;
  setFiles(selector: string, files: string[]): Promise<void>;
  close(): Promise<void>;
}

async function addressOf(firefox: ChildProcess): Promise<string> {
  let said = '';
  return new Promise((resolve, reject) => {
    const timer = setTimeout(() => reject(new Error(`Firefox did not start: ${said.slice(-500)}`)), START_MS);
    firefox.stderr?.on('data', (chunk: Buffer) => {
      said += chunk.toString();
      const found = /WebDriver BiDi listening on (ws:\/\/\S+)/.exec(said)?.[1];
      if (!found) return;
      clearTimeout(timer);
      resolve(found);
    });
  });
}

/** A connection to a browser: commands by number, and events. */
async function connect(address: string, onEvent: (event: Answer) => void) {
  const socket = new WebSocket(`${address}/session`);
  const waiting = new Map<number, (answer: Answer) => void>();
  let last = 0;
  socket.on('message', (data: Buffer) => {
    const answer = JSON.parse(data.toString()) as Answer;
    if (answer.id === undefined) onEvent(answer);
    else waiting.get(answer.id)?.(answer);
  });
  await new Promise((resolve, reject) => socket.once('open', resolve).once('error', reject));
  return {
    async send(method: string, params: object = {}): Promise<Record<string, unknown>> {
      const id = ++last;
      const answer = await new Promise<Answer>((resolve) => {
        waiting.set(id, resolve);
        socket.send(JSON.stringify({ id, method, params }));
      });
      waiting.delete(id);
      if (answer.type === 'error') throw new Error(`${method}: ${answer.error}: ${answer.message}`);
      return answer.result ?? {};
    },
    close: () => socket.close(),
  };
}

/** Opens a window of its own profile; English, whatever the machine speaks. */
export async function openFirefox(): Promise<Firefox> {
  const profile = mkdtempSync(join(tmpdir(), 'firefox-'));
  const downloads = mkdtempSync(join(tmpdir(), 'downloads-'));
  const settings = {
    'browser.download.folderList': 2,
    'browser.download.dir': downloads,
    'browser.download.useDownloadDir': true,
    'browser.helperApps.neverAsk.saveToDisk': 'application/zip',
    'intl.accept_languages': 'en-GB',
    'media.autoplay.default': 0,
    'media.autoplay.blocking_policy': 0,
    'media.autoplay.block-webaudio': false,
    // No request leaves the machine.
    'app.update.enabled': false,
    'browser.safebrowsing.downloads.enabled': false,
    'datareporting.policy.dataSubmissionEnabled': false,
    'network.captive-portal-service.enabled': false,
    'network.connectivity-service.enabled': false,
  };
  writeFileSync(
    join(profile, 'user.js'),
    Object.entries(settings)
      .map(([name, value]) => `user_pref(${JSON.stringify(name)}, ${JSON.stringify(value)});`)
      .join('\n'),
  );
  const firefox = spawn(
    FIREFOX,
    [
      '--headless',
      '--no-remote',
      '--remote-debugging-port=0',
      '--profile',
      profile,
      '--width=1280',
      '--height=800',
    ],
    { stdio: ['ignore', 'ignore', 'pipe'] },
  );
  const errors: string[] = [];
  const bidi = await connect(await addressOf(firefox), ({ method, params }) => {
    if (method === 'log.entryAdded' && params?.level === 'error') errors.push(params.text ?? '');
  });
  await bidi.send('session.new', { capabilities: {} });
  await bidi.send('session.subscribe', { events: ['log.entryAdded'] });
  const { contexts } = (await bidi.send('browsingContext.getTree')) as { contexts: { context: string }[] };
  const { context } = contexts[0];

  async function evaluate(expression: string): Promise<string | undefined> {
    const { type, result, exceptionDetails } = (await bidi.send('script.evaluate', {
      expression,
      target: { context },
      awaitPromise: true,
      userActivation: true,
    })) as { type: string; result?: { value?: string }; exceptionDetails?: { text: string } };
    if (type !== 'success') throw new Error(exceptionDetails?.text ?? expression);
    return result?.value;
  }
  const page: Firefox = {
    downloads,
    errors,
    async goto(url) {
      await bidi.send('browsingContext.navigate', { context, url, wait: 'complete' });
    },
    async run(work, given) {
      const answer = await evaluate(
        `Promise.resolve((${String(work)})(${JSON.stringify(given)})).then((value) => JSON.stringify(value ?? null))`,
      );
      return JSON.parse(answer ?? 'null') as never;
    },
    async until(work, given, milliseconds = START_MS) {
      const late = Date.now() + milliseconds;
      for (;;) {
        const answer = await page.run(work, given);
        if (answer !== null && answer !== false) return answer as never;
        if (Date.now() > late) {
          const shown = await page.run(() => document.body.innerText.slice(-400), null);
          throw new Error(
            `In vain waited for: ${String(work)} ${JSON.stringify(given)}; at the end of the page: ${shown}`,
          );
        }
        await new Promise((resolve) => setTimeout(resolve, LOOK_MS));
      }
    },
    async press(key) {
      const actions = [
        { type: 'keyDown', value: key },
        { type: 'keyUp', value: key },
      ];
      await bidi.send('input.performActions', { context, actions: [{ type: 'key', id: 'keys', actions }] });
    },
    async setFiles(selector, files) {
      const { nodes } = (await bidi.send('browsingContext.locateNodes', {
        context,
        locator: { type: 'css', value: selector },
      })) as { nodes: { sharedId: string }[] };
      await bidi.send('input.setFiles', { context, element: { sharedId: nodes[0].sharedId }, files });
    },
    async close() {
      await bidi.send('browser.close').catch(() => undefined);
      bidi.close();
      await new Promise((resolve) =>
        firefox.exitCode === null ? firefox.once('exit', resolve) : resolve(null),
      );
      for (const folder of [profile, downloads]) rmSync(folder, { recursive: true, force: true });
    },
  };
  return page;
}
