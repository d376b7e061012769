import 'fake-indexeddb/auto';
import { IDBObjectStore } from 'fake-indexeddb';
import { unzipSync } from 'fflate';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { buildSwell, DEFAULT_SCALE, type StartMode } from '@inner-hum/core/exercise';
import { listenTo } from '@inner-hum/core/hearing';
import { writtenMidi } from '@inner-hum/core/horn';
import { playExercise, WARM_UP } from '@inner-hum/core/standin';
import { listTakes, loadSamples, openDatabase, readTakeFrames } from '../storage/index.ts';
import { createLiveSession } from './liveSession.ts';
import type { ArmRequest, SessionEvent } from './protocol.ts';

const RATE = 48000;
let count = 0;
beforeEach(() => {
  openDatabase(`live-${count++}`);
  // Node has no web locks; nothing here contends for one.
  Object.defineProperty(globalThis, 'navigator', {
    configurable: true,
    value: { locks: { request: (_name: string, work: () => unknown) => work() } },
  });
});
const realPut = IDBObjectStore.prototype.put;
afterEach(() => {
  IDBObjectStore.prototype.put = realPut;
});

function armed(start: StartMode): ArmRequest {
  return {
    context: {
      exercise: buildSwell({ note: writtenMidi(67), shape: 'growFade', beats: 4, tempoBpm: 120, start }),
      hornId: 'alto',
      a4Hz: 440,
      scale: DEFAULT_SCALE,
      toleranceId: 'usual',
      roomFloorDb: null,
    },
    source: 'microphone',
    eyes: 'watch',
    roundTripSeconds: 0,
  };
}

/** Plays a 2 s swell into a session in blocks, as the worklet would, and waits for the take's end. */
async function playInto(start: StartMode, leadSeconds: number, hurt: () => void = () => undefined) {
  const events: SessionEvent[] = [];
  const session = createLiveSession(RATE, (event) => events.push(event));
  const request = armed(start);
  session.arm(request);
  if (start === 'countIn') session.beginAt(1000 / RATE + leadSeconds, 0.5);
  const { samples } = playExercise({
    ...request.context,
    profile: { ...WARM_UP, responseMs: 0 },
    sampleRateHz: RATE,
    seed: 4,
    leadSeconds,
    tailSeconds: 2,
  });
  hurt();
  for (let n = 0; n < samples.length; n += 512)
    session.push({ startFrame: 1000 + n, samples: samples.slice(n, n + 512) });
  await session.endTake();
  return events;
}

it('starts with the note and keeps its sound so that hearing it again gives the same frames', async () => {
  const events = await playInto('playToStart', 1.5);
  const [take] = await listTakes();
  expect(events.filter(({ type }) => type === 'takeEnded')).toEqual([
    { type: 'takeEnded', takeId: take.id, analysis: take.analysis },
  ]);
  // 0.6 s of what came before the tone belong to the take.
  expect(take.analysis?.beatZeroSeconds).toBeCloseTo(0.6, 1);
  const again = listenTo(await loadSamples(take.id), RATE);
  const kept = await readTakeFrames(take.id);
  const frames = (kept?.f0Hz.length ?? 0) - 10;
  expect(frames).toBeGreaterThan(250);
  expect(again.slice(0, frames).f0Hz).toEqual(kept?.f0Hz.slice(0, frames));
  expect(again.slice(0, frames).levelDb).toEqual(kept?.levelDb.slice(0, frames));
});

it('begins a counted take before its first beat, on the audio clock', async () => {
  await playInto('countIn', 1.2);
  const [take] = await listTakes();
  expect(take.analysis?.beatZeroSeconds).toBeCloseTo(0.5, 2);
  expect(take.analysis?.events[0].timeSeconds).toBeCloseTo(0.5, 1);
});

it('keeps nothing where no tone came', async () => {
  const session = createLiveSession(RATE, (event) => events.push(event));
  const events: SessionEvent[] = [];
  session.arm(armed('countIn'));
  session.beginAt(0.5, 0.5);
  for (let n = 0; n < 2 * RATE; n += 512) session.push({ startFrame: n, samples: new Float32Array(512) });
  await session.endTake();
  expect(events.at(-1)).toEqual({ type: 'nothingHeard' });
  expect(await listTakes()).toEqual([]);
});

it('hands the whole take over as a file when the disk is full', async () => {
  const events = await playInto('playToStart', 1, () => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('No space left.', 'QuotaExceededError');
    };
  });
  expect(events).toContainEqual({ type: 'storageTrouble', full: true });
  const unsaved = events.find((event) => event.type === 'takeUnsaved');
  const files = unzipSync(unsaved?.type === 'takeUnsaved' ? unsaved.file : new Uint8Array());
  const wav = Object.entries(files).find(([name]) => name.endsWith('.wav'))?.[1];
  // 0.6 s before the tone, 2 s of it, and the silence that ended it, in 32-bit samples.
  expect((wav?.length ?? 0) / 4 / RATE).toBeGreaterThan(3.5);
});
