import { expect, it } from 'vitest';
import { isLostRoom, watchLostRooms } from './lostRoom.ts';

function newPage(change: { isKept?: boolean; isRunning?: boolean; memory?: Map<string, string> } = {}) {
  const { isKept = true, isRunning = false, memory = new Map<string, string>() } = change;
  const events = new EventTarget();
  let reloads = 0;
  watchLostRooms({
    events,
    memory: {
      getItem: (key) => memory.get(key) ?? null,
      setItem: (key, value) => void memory.set(key, value),
    },
    isKept: () => isKept,
    isTakeRunning: () => Promise.resolve(isRunning),
    reload: () => reloads++,
  });
  return {
    memory,
    reloads: () => reloads,
    async say(...types: string[]) {
      for (const type of types) events.dispatchEvent(new Event(type));
      await new Promise((resolve) => setTimeout(resolve));
    },
  };
}

it('loads again once a tab, however many rooms are lost and however often the page comes back', async () => {
  const page = newPage();
  await page.say('vite:preloadError', 'vite:preloadError');
  expect(page.reloads()).toBe(1);
  // The page that came is the same one: chunk and network are both gone.
  const again = newPage({ memory: page.memory });
  for (let i = 0; i < 29; i++) await again.say('vite:preloadError');
  expect(again.reloads()).toBe(0);
});

it('does not load again while the page is being left, nor under a take, nor where the server has the page', async () => {
  const left = newPage();
  await left.say('beforeunload', 'vite:preloadError');
  expect(left.reloads()).toBe(0);
  await left.say('pageshow', 'vite:preloadError');
  expect(left.reloads()).toBe(1);
  // Left while it was being found out whether a take runs.
  const leaving = newPage();
  await leaving.say('vite:preloadError', 'beforeunload');
  expect(leaving.reloads()).toBe(0);
  for (const page of [newPage({ isRunning: true }), newPage({ isKept: false })]) {
    await page.say('vite:preloadError');
    expect(page.reloads()).toBe(0);
    expect(page.memory.size).toBe(0);
  }
});

it('knows a room that could not be fetched by what each browser says of it', () => {
  for (const message of [
    'Failed to fetch dynamically imported module: http://127.0.0.1/assets/x.js',
    'error loading dynamically imported module: http://127.0.0.1/assets/x.js',
    'Importing a module script failed.',
  ])
    expect(isLostRoom(new TypeError(message)), message).toBe(true);
  expect(isLostRoom(new TypeError('x is undefined'))).toBe(false);
  expect(isLostRoom('module')).toBe(false);
});
