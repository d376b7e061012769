import { configureStore } from '@reduxjs/toolkit';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { buildSwell, DEFAULT_SCALE, familyById, type Exercise } from '@inner-hum/core/exercise';
import { hornById, writtenMidi } from '@inner-hum/core/horn';
import { PROFILES } from '@inner-hum/core/simulated';
import { createQuickDesk, type QuickDesk } from '../audio/quickDesk.ts';
import {
  DEFAULT_SETTINGS,
  newestTakes,
  readRound,
  readTakeFrames,
  storeRound,
  unfinishedTakes,
  type SettingsRecord,
} from '../storage/index.ts';
import type { DeskTrouble } from '../audio/index.ts';
import type { SessionClient } from '../workers/index.ts';
import { createSessionWork } from '../workers/sessionWork.ts';
import { createSessionController } from './sessionController.ts';
import { sessionSlice, type SessionView } from './sessionSlice.ts';
import type { SessionSetup } from './setup.ts';
import { watchWorker } from './workerWatch.ts';
import { emptyDatabaseInTests } from '../storage/emptyDatabaseInTests.ts';

// Whole visits on the quick desk: the machine, what carries it out, the listener, the recorder and the judge, with real
// sound; only the devices are missing.

let closing: (() => void)[] = [];
beforeEach(() => {
  emptyDatabaseInTests();
  // Node has no web locks; nothing here contends for one.
  vi.stubGlobal('navigator', {
    locks: { request: (_name: string, ...rest: (() => unknown)[]) => rest.at(-1)?.() },
  });
});
afterEach(() => {
  for (const close of closing) close();
  closing = [];
});

const setupOf = (change: Partial<SettingsRecord> = {}): SessionSetup => ({
  settings: { ...DEFAULT_SETTINGS, source: 'standIn', pace: 'quick', ...change },
  scale: DEFAULT_SCALE,
  profile: { ...PROFILES.goodDay, responseMs: 80 },
  fingerings: new Map(),
  roomFloorDb: null,
  roundTripSeconds: 0,
  calibrated: true,
});

/** A worker in the same thread, that can be made to break. */
function workerHere() {
  let work = createSessionWork();
  let fail = () => {};
  const client: SessionClient = {
    get remote() {
      const here = work;
      return new Proxy(here, {
        get:
          (_, name) =>
          // A worker that was replaced answers no more.
          async (...given: unknown[]) =>
            here === work
              ? (here[name as keyof typeof here] as (...given: unknown[]) => unknown)(...given)
              : new Promise(() => undefined),
      }) as unknown as SessionClient['remote'];
    },
    onFailure: (listener) => (fail = listener),
    restart: () => (work = createSessionWork()),
  };
  return { client, break: () => fail() };
}

interface Visit {
  session: ReturnType<typeof createSessionController>;
  desk: QuickDesk;
  worker: ReturnType<typeof workerHere>;
  trouble(code: DeskTrouble): void;
  troubles(): string[];
  view(): SessionView;
  /** Waits until what rooms show is like that. */
  until(what: (view: SessionView) => boolean): Promise<SessionView>;
  phase(phase: SessionView['phase']): Promise<SessionView>;
}

function newVisit(): Visit {
  const store = configureStore({ reducer: { session: sessionSlice.reducer } });
  const desk = createQuickDesk();
  const worker = workerHere();
  let trouble: Visit['trouble'] = () => undefined;
  const session = createSessionController({
    client: worker.client,
    createDesk: (onTrouble) => {
      trouble = onTrouble;
      return desk;
    },
    dispatch: store.dispatch,
    async finishTakes() {
      for (const { id } of await unfinishedTakes()) await worker.client.remote.recover(id);
    },
    onUnsaved: () => Promise.resolve(),
    storeRound,
  });
  closing.push(() => desk.close());
  const view = () => store.getState().session;
  const until: Visit['until'] = (what) =>
    new Promise((resolve) => {
      const look = () => {
        if (!what(view())) return;
        stop();
        resolve(view());
      };
      const stop = store.subscribe(look);
      look();
    });
  return {
    session,
    desk,
    worker,
    trouble: (code) => trouble(code),
    troubles: () => store.getState().session.troubles,
    view,
    until,
    phase: (phase) => until((now) => now.phase === phase),
  };
}

const swell = (start: 'playToStart' | 'countIn') =>
  buildSwell({ note: writtenMidi(67), shape: 'growFade', beats: 4, tempoBpm: 120, start });

function drill(id: string, choices: object): Exercise {
  const family = familyById(id);
  if (!family) throw new Error(id);
  return family.build(hornById('alto'), choices);
}
const ROUND = drill('breakDrill', { tempoBpm: 240, start: 'countIn' });

/** All that is said of the newest take, but for when it was and what it is called. */
async function newest() {
  const [{ id, startedAt: _at, day: _day, clock: _clock, ...take }] = await newestTakes(1);
  return { ...take, frames: await readTakeFrames(id) };
}

for (const start of ['playToStart', 'countIn'] as const)
  it(`gives the same frames and the same verdict whenever a sound is played and however it is cut (${start})`, async () => {
    const takes = [];
    // The desk is entered at once, after a second, and while it keeps the pace of real time.
    for (const waits of [0, 1.003, 0.2]) {
      emptyDatabaseInTests();
      const { session, desk, phase } = newVisit();
      session.arm(setupOf(), swell(start), null);
      await phase('armed');
      if (waits > 0.5) desk.hurry(true);
      await new Promise<void>((resolve) => desk.after(waits, resolve));
      session.begin();
      await phase('resting');
      takes.push(await newest());
    }
    expect(takes[0].analysis?.measures.holdSeconds).toBeGreaterThan(1.5);
    expect(takes[1]).toEqual(takes[0]);
    expect(takes[2]).toEqual(takes[0]);
  });

it('goes through a round hands-free: every phrase a take of its round, rests between, over at the end', async () => {
  const { session, until, view } = newVisit();
  session.arm(setupOf(), ROUND, '/stand/drill/breakDrill');
  await until(({ phase }) => phase === 'armed');
  session.begin();
  const shown: number[] = [];
  await until(({ phase, round }) => {
    if (phase === 'playing' && !shown.includes(round.index)) shown.push(round.index);
    return round.over;
  });
  expect(shown).toEqual([0, 1, 2, 3]);
  const takes = await newestTakes(10);
  expect(takes.map(({ phrase }) => phrase).toReversed()).toEqual([0, 1, 2, 3]);
  const { id } = view().round;
  expect(takes.every(({ roundId }) => roundId === id)).toBe(true);
  expect(await readRound(id ?? '')).toMatchObject({ address: '/stand/drill/breakDrill' });
  for (const { analysis } of takes) expect(analysis?.items.length).toBeGreaterThan(0);
});

it('paused, taken up, played once more, skipped before its tone: what sounded is kept, and nothing of it reaches the next', async () => {
  const { session, desk, phase, until, troubles } = newVisit();
  session.arm(setupOf(), ROUND, '/stand');
  await phase('armed');
  session.begin();
  await phase('playing');
  await new Promise<void>((resolve) => desk.after(1, resolve));
  session.pause();
  await phase('paused');
  session.begin();
  expect((await phase('resting')).round.index).toBe(0);
  session.again();
  expect((await phase('counting')).round.index).toBe(0);
  await phase('resting');
  session.skip();
  expect((await phase('counting')).round.index).toBe(1);
  // Before its tone: the worker will say that nothing was heard in it.
  session.skip();
  expect((await phase('counting')).round.index).toBe(2);
  await phase('playing');
  const { round, takeId } = await phase('resting');
  expect(round.index).toBe(2);
  expect(troubles()).toEqual([]);
  const takes = await newestTakes(10);
  expect(takes[0]).toMatchObject({ id: takeId, phrase: 2 });
  // The one that was broken off, the first phrase twice, the third.
  expect(takes.map(({ phrase }) => phrase)).toEqual([2, 0, 0, 0]);
  expect(takes[3].analysis?.measures.holdSeconds).toBeLessThan(takes[2].analysis?.measures.holdSeconds ?? 0);
  session.leave();
  await until(({ phase: now }) => now === 'off');
});

it('a room left in the middle of a take keeps it, and the next room begins afresh', async () => {
  const { session, desk, phase, view } = newVisit();
  session.arm(setupOf(), swell('playToStart'), null);
  await phase('armed');
  session.begin();
  await phase('playing');
  await new Promise<void>((resolve) => desk.after(1.2, resolve));
  session.leave();
  session.goFree(setupOf());
  await phase('free');
  expect(session.live.takeId).toBeNull();
  await expect.poll(() => newestTakes(10)).toMatchObject([{ state: 'kept' }]);
  expect(view().takeId).toBeNull();
  await expect.poll(() => session.live.track.count).toBeGreaterThan(50);
  await session.keepLastMinute();
  expect((await newestTakes(10)).map(({ kind }) => kind).toSorted()).toEqual(['exercise', 'free']);
});

it('the simulated player tries the horn whenever the free desk is entered, however settings are read meanwhile', async () => {
  const { session, desk, phase } = newVisit();
  for (let times = 0; times < 2; times++) {
    const before = session.live.track;
    const from = before.count;
    session.goFree(setupOf());
    session.adjust(setupOf());
    await phase('free');
    const speaks = () => {
      const { track } = session.live;
      const heard = track.columns.f0Hz.subarray(track === before ? from : 0, track.count);
      return heard.some((hz) => hz > 0);
    };
    await expect.poll(speaks, { timeout: 10_000 }).toBe(true);
    session.leave();
    // Elsewhere for a while.
    await new Promise<void>((resolve) => desk.after(2, resolve));
  }
});

it('an input that goes away ends the take and listens on', async () => {
  const { session, desk, phase, trouble, troubles } = newVisit();
  session.arm(setupOf(), swell('playToStart'), null);
  await phase('armed');
  session.begin();
  await phase('playing');
  await new Promise<void>((resolve) => desk.after(1.2, resolve));
  trouble('micUnplugged');
  await phase('armed');
  expect(troubles()).toEqual(['micChanged']);
  await expect.poll(() => newestTakes(10)).toMatchObject([{ state: 'kept' }]);
  session.begin();
  await phase('resting');
  expect(await newestTakes(10)).toHaveLength(2);
});

it('a worker that breaks is replaced, its take comes back, and the round goes on where it was', async () => {
  const { session, desk, worker, phase, until, troubles } = newVisit();
  session.arm(setupOf(), ROUND, '/stand');
  await phase('armed');
  session.begin();
  await until(({ phase: now, round }) => now === 'playing' && round.index === 1);
  await new Promise<void>((resolve) => desk.after(0.8, resolve));
  worker.break();
  expect((await phase('armed')).round.index).toBe(1);
  expect(troubles()).toEqual(['workerRestarted']);
  await expect
    .poll(() => newestTakes(10))
    .toMatchObject([{ state: 'kept', recovered: true }, { recovered: false }]);
  session.begin();
  expect((await phase('resting')).round.index).toBe(1);
  expect(await newestTakes(10)).toHaveLength(3);
});

it('a worker from which nothing comes is found out by the clock of the desk', async () => {
  const desk = createQuickDesk();
  closing.push(() => desk.close());
  const { port1, port2 } = new MessageChannel();
  closing.push(() => port2.close());
  let stuckAt: number | null = null;
  let isOpen = false;
  const watch = watchWorker(
    desk,
    () => isOpen,
    () => (stuckAt ??= desk.now()),
  );
  // It answers, so that the desk is quick, but tells nothing.
  port2.onmessage = ({ data }: MessageEvent<{ answer: boolean }>) => {
    if (data.answer) port2.postMessage(null);
    if (desk.now() < 20 && isOpen) watch.heard();
  };
  desk.hurry(true);
  await desk.open('quick', port1);
  await new Promise<void>((resolve) => desk.after(15, resolve));
  // Nothing is expected before an input is open.
  expect(stuckAt).toBeNull();
  isOpen = true;
  await new Promise<void>((resolve) => desk.after(20, resolve));
  expect(stuckAt).toBeGreaterThan(27.9);
  expect(stuckAt).toBeLessThan(29.5);
});

it('answers that come late and all at once do not move the clock of the quick desk on', async () => {
  const desk = createQuickDesk();
  closing.push(() => desk.close());
  const { port1, port2 } = new MessageChannel();
  closing.push(() => port2.close());
  let isBusy = true;
  let kept = 0;
  let pushed = 0;
  port2.onmessage = () => {
    pushed++;
    if (isBusy) kept++;
  };
  desk.hurry(true);
  await desk.open('quick', port1);
  await expect.poll(() => kept).toBeGreaterThan(8);
  isBusy = false;
  const before = pushed;
  for (; kept > 0; kept--) port2.postMessage(null);
  // Nothing more is answered from here on: real time is all that passes.
  const since = performance.now();
  await expect.poll(() => pushed).toBeGreaterThan(before + 2);
  const seconds = ((pushed - before - 2) * 4096) / 48000;
  expect(seconds).toBeLessThan((performance.now() - since) / 1000 + 0.1);
});
