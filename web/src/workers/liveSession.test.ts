import { IDBObjectStore } from 'fake-indexeddb';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import {
  buildSwell,
  DEFAULT_SCALE,
  exerciseAsPlayed,
  exerciseUpTo,
  type Choices,
  type Exercise,
  type SwellRequest,
  familyById,
  phraseExercise,
  type FamilyId,
} from '@inner-hum/core/exercise';
import { listenTo, renderClick } from '@inner-hum/core/hearing';
import { hornById, writtenMidi } from '@inner-hum/core/horn';
import { playExercise, STEADY_HAND, WARM_UP, type ExerciseRequest } from '@inner-hum/core/simulated';
import { newestTakes, loadSamples, readTakeFrames } from '../storage/index.ts';
import { createLiveSession } from './liveSession.ts';
import type { ArmRequest, SessionEvent } from './protocol.ts';
import { emptyDatabaseInTests } from '../storage/emptyDatabaseInTests.ts';

const RATE = 48000;
let count = 0;
beforeEach(() => {
  count++;
  emptyDatabaseInTests();
  // Node has no web locks; nothing here contends for one.
  vi.stubGlobal('navigator', { locks: { request: (_name: string, work: () => unknown) => work() } });
});
const realPut = IDBObjectStore.prototype.put;
afterEach(() => {
  IDBObjectStore.prototype.put = realPut;
});

function armed(start: SwellRequest['start']): ArmRequest {
  return {
    takeId: `take-${count}`,
    afterSilence: false,
    context: {
      exercise: buildSwell({ note: writtenMidi(67), shape: 'growFade', beats: 4, tempoBpm: 120, start }),
      hornId: 'alto',
      a4Hz: 440,
      scale: DEFAULT_SCALE,
      toleranceId: 'usual',
      roomFloorDb: null,
    },
    gear: { mouthpieceId: 'alto.first', reedKind: '', reedId: '' },
    source: 'microphone',
    eyes: 'watch',
    roundTripSeconds: 0,
    roundId: null,
    phrase: 0,
    droneLeakDb: null,
  };
}

/** Plays a 2 s swell into a session in blocks, as the worklet would, and waits for the take's end. */
async function playInto(
  start: SwellRequest['start'],
  leadSeconds: number,
  hurt: () => void = () => undefined,
) {
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
  const [take] = await newestTakes(1000);
  expect(events.filter(({ type }) => type === 'takeOver' || type === 'takeEnded')).toEqual([
    { type: 'takeOver', takeId: take.id },
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
  const [take] = await newestTakes(1000);
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
  expect(events.at(-1)).toEqual({ type: 'nothingHeard', takeId: `take-${count}` });
  expect(await newestTakes(1000)).toEqual([]);
});

it('hands the whole take over when the disk is full', async () => {
  const events = await playInto('playToStart', 1, () => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('No space left.', 'QuotaExceededError');
    };
  });
  expect(events).toContainEqual({ type: 'storageTrouble', full: true });
  const unsaved = events.find((event) => event.type === 'takeUnsaved');
  if (unsaved?.type !== 'takeUnsaved') throw new Error('The take was not handed over.');
  const { record, samples, columns } = unsaved.take;
  // 0.6 s before the tone, 2 s of it, and the silence that ended it.
  expect(samples.length / RATE).toBeGreaterThan(3.5);
  // The last frames wait for what would have come after them.
  expect(columns.f0Hz.length).toBeGreaterThan(100 * record.lengthSeconds - 12);
  expect(record.analysis?.measures.holdSeconds).toBeGreaterThan(1.5);
});

it('finds the clicks it was told of in the sound, and leaves them out of the figures', async () => {
  const request = armed('countIn');
  const { samples } = playExercise({
    ...request.context,
    profile: { ...WARM_UP, responseMs: 0 },
    sampleRateHz: RATE,
    seed: 4,
    leadSeconds: 1,
    tailSeconds: 2,
  });
  const click = renderClick(RATE);
  // Sound takes 80 ms out and in; the session knows of 60, as after a rough calibration.
  const due = [1, 1.5, 2, 2.5, 3];
  for (const time of due)
    click.forEach((value, n) => (samples[Math.round((time + 0.08) * RATE) + n] += 0.3 * value));
  const session = createLiveSession(RATE, () => undefined);
  session.arm({ ...request, roundTripSeconds: 0.06 });
  session.beginAt(1 - 0.06, 0.5);
  session.noteClicks(due.slice(0, 2));
  for (let n = 0; n < samples.length; n += 512) {
    if (n === 512 * 100) session.noteClicks(due.slice(2));
    session.push({ startFrame: n, samples: samples.slice(n, n + 512) });
  }
  await session.endTake();
  const [take] = await newestTakes(1000);
  const start = 1 - 0.06 - 0.5;
  expect(take.foundClickSeconds).toHaveLength(5);
  take.foundClickSeconds.forEach((found, i) => expect(found).toBeCloseTo(due[i] + 0.08 - start, 3));
  expect(take.analysis?.measures.swellErrorDb).toBeLessThan(0.8);
});

it('fills what the machine was too busy to hear with silence, says so, and keeps the clock true', async () => {
  const request = armed('playToStart');
  const { samples, truth } = playExercise({
    ...request.context,
    profile: { ...WARM_UP, responseMs: 0, jumps: [{ atSeconds: 1.4, lengthSeconds: 0.3, toPartial: 2 }] },
    sampleRateHz: RATE,
    seed: 4,
    leadSeconds: 1,
    tailSeconds: 2,
  });
  const events: SessionEvent[] = [];
  const session = createLiveSession(RATE, (event) => events.push(event));
  session.arm(request);
  for (let n = 0; n < samples.length; n += 512)
    // 64 ms are missing, half a second into the note.
    if (n < 1.5 * RATE || n >= 1.5 * RATE + 6 * 512)
      session.push({ startFrame: n, samples: samples.slice(n, n + 512) });
  await session.endTake();
  expect(events).toContainEqual({ type: 'trouble', trouble: 'lostSound' });
  const [take] = await newestTakes(1000);
  const jump = take.analysis?.events.find(({ type }) => type === 'jump');
  const onset = take.analysis?.events[0].timeSeconds ?? 0;
  expect((jump?.timeSeconds ?? 0) - onset).toBeCloseTo(
    truth.jumps[0].timeSeconds - truth.toneOnsetSeconds,
    1,
  );
});

it('keeps the newest minute with the frames it was heard as', () => {
  const session = createLiveSession(RATE, () => undefined);
  const { samples } = playExercise({
    ...armed('playToStart').context,
    profile: WARM_UP,
    sampleRateHz: RATE,
    seed: 4,
    leadSeconds: 0.5,
    tailSeconds: 0.5,
  });
  for (let n = 0; n < samples.length; n += 512)
    session.push({ startFrame: 777 + n, samples: samples.slice(n, n + 512) });
  const newest = session.newestFrames(2);
  expect(newest.samples.length / RATE).toBeCloseTo(2, 1);
  const again = listenTo(newest.samples, RATE);
  // The same sound from another beginning: the same pitch, away from the cut.
  for (let i = 30; i < 120; i++)
    expect(Math.abs(1200 * Math.log2(again.columns.f0Hz[i] / newest.columns.f0Hz[i]))).toBeLessThan(0.5);
});

/** The first phrase of a family, begun by its first note, played into a session that nobody ends. */
async function playPhraseOf(
  id: FamilyId,
  choices: Choices,
  change: Partial<ExerciseRequest> | ((written: Exercise) => Partial<ExerciseRequest>),
) {
  const family = familyById(id);
  if (!family) throw new Error(id);
  const exercise = phraseExercise(family.build(hornById('alto'), { start: 'playToStart', ...choices }), 0);
  const request = armed('playToStart');
  const context = { ...request.context, exercise };
  const session = createLiveSession(RATE, () => undefined);
  session.arm({ ...request, context, roundId: 'round', phrase: 2 });
  const played = playExercise({
    ...context,
    profile: STEADY_HAND,
    sampleRateHz: RATE,
    seed: 4,
    leadSeconds: 1.5,
    tailSeconds: 2,
    ...(typeof change === 'function' ? change(exercise) : change),
  });
  for (let pushed = 0; pushed < played.samples.length; pushed += 512) {
    session.push({ startFrame: pushed, samples: played.samples.slice(pushed, pushed + 512) });
    // What is to be stored needs its turn.
    if (pushed % (512 * 40) === 0) await new Promise((resolve) => setTimeout(resolve));
  }
  await session.endTake();
  return { takes: await newestTakes(1000) };
}

it('waits through the rests of a phrase, and through a note that is missed, and then keeps one take of its round', async () => {
  const { takes } = await playPhraseOf(
    'alternatingSwells',
    { tempoBpm: 160 },
    { faults: [{ item: 2, kind: 'missed' }] },
  );
  expect(takes).toHaveLength(1);
  expect(takes[0]).toMatchObject({ roundId: 'round', phrase: 2 });
  const statuses = takes[0].analysis?.items.flatMap((item) => (item.kind === 'note' ? [item.status] : []));
  expect(statuses).toEqual(['played', 'missed', 'played', 'played']);
});

it('keeps the air that was asked for before the note that starts a take', async () => {
  const { takes } = await playPhraseOf('airThenNote', { tempoBpm: 120 }, {});
  expect(takes).toHaveLength(1);
  const [before, note, after] = takes[0].analysis?.items ?? [];
  expect([before, note, after]).toMatchObject([
    { status: 'played' },
    { status: 'played' },
    { status: 'played' },
  ]);
  // Four beats of half a second, and the 0.6 s before them.
  expect(takes[0].analysis?.beatZeroSeconds).toBeCloseTo(0.6, 1);
  expect((before.endSeconds ?? 0) - (before.startSeconds ?? 0)).toBeGreaterThan(1.7);
});

it('ends a long hold where it breaks, not where it stops', async () => {
  const swerve = { atSeconds: 3, overSeconds: 0.3, cents: -30, levelDb: 0, breathDb: 0 };
  const { takes } = await playPhraseOf(
    'longHold',
    { tempoBpm: 240 },
    {
      profile: { ...STEADY_HAND, swerve },
    },
  );
  const hold = takes.at(-1)?.analysis?.measures;
  expect(hold?.holdCause).toBe('pitch');
  expect(Math.abs((hold?.holdSeconds ?? 0) - 3.1)).toBeLessThan(0.2);
  // 0.3 s tell that it has broken, a quarter of a second goes between two looks.
  const broke = takes.at(-1)?.analysis?.events.find(({ type }) => type === 'degrade')?.timeSeconds ?? 0;
  expect((takes.at(-1)?.lengthSeconds ?? 0) - broke).toBeLessThan(0.8);
});

const hits = { partial: 2, tries: 3, tempoBpm: 120, start: 'ownTime' } as const;

it('waits in the player’s own time through a gap of three seconds, and ends 1.2 s after the last note', async () => {
  const { takes } = await playPhraseOf('overtoneHits', hits, (written) => ({
    exercise: exerciseAsPlayed(written, [3, 6, 2, 4, 4]),
    tailSeconds: 6,
  }));
  expect(takes).toHaveLength(1);
  const analysis = takes[0].analysis;
  expect(analysis?.verdict).toMatchObject({ judged: 3, asWritten: 3 });
  const end = analysis?.events.findLast(({ type }) => type === 'end')?.timeSeconds ?? 0;
  expect(Math.abs(takes[0].lengthSeconds - end - 1.2)).toBeLessThan(0.3);
});

it('keeps and judges what was played where the player stops for good inside a phrase', async () => {
  const { takes } = await playPhraseOf('overtoneHits', hits, (written) => ({
    exercise: exerciseUpTo(written, 3),
    tailSeconds: 7,
  }));
  expect(takes).toHaveLength(1);
  const statuses = takes[0].analysis?.items.flatMap((item) => (item.kind === 'note' ? [item.status] : []));
  expect(statuses).toEqual(['played', 'played', 'missed']);
  // Nobody is waited for longer than four seconds.
  const end = takes[0].analysis?.events.findLast(({ type }) => type === 'end')?.timeSeconds ?? 0;
  expect(Math.abs(takes[0].lengthSeconds - end - 4)).toBeLessThan(0.4);
});
