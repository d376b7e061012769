import * as Comlink from 'comlink';
import { findClicks, listenTo, type FrameTrack } from '@inner-hum/core/hearing';
import { playExercise } from '@inner-hum/core/standin';
import {
  appendChunk,
  beginTake,
  eraseTake,
  finishTake,
  loadSamples,
  openDatabase,
  readTake,
  type TakeRecord,
} from '../storage/index.ts';
import { createLiveSession, type LiveSession } from './liveSession.ts';
import type { CapturedBlock, KeepRequest, SessionEvent, SessionWorker } from './protocol.ts';
import { renderFreePlaying } from './freePlaying.ts';
import { withAbandonedTake } from './takeLock.ts';
import { judgeRecord, newTakeRecord } from './takeRecorder.ts';

openDatabase(self.name);

let session: LiveSession | null = null;
let capturePort: MessagePort | null = null;

/** Stores a finished sound with its frames; the parts first, so that a crash in between loses nothing. */
async function store(record: TakeRecord, samples: Float32Array<ArrayBuffer>, track: FrameTrack) {
  await beginTake({ ...record, state: 'recording' });
  const part = Math.round(record.sampleRateHz / 2);
  for (let index = 0; index * part < samples.length; index++)
    await appendChunk(record.id, index, samples.slice(index * part, (index + 1) * part));
  await finishTake(record, track.slice(0));
}

const worker: SessionWorker = {
  attach(capture, events, sampleRateHz) {
    capturePort?.close();
    capturePort = capture;
    const send = (event: SessionEvent) => events.postMessage(event);
    session = createLiveSession(sampleRateHz, send);
    const live = session;
    capture.onmessage = ({ data }: MessageEvent<CapturedBlock>) => {
      try {
        live.push(data);
      } catch (error) {
        send({ type: 'workerFailed', message: String(error) });
      }
    };
  },
  async detach() {
    await session?.disarm();
    capturePort?.close();
    session = null;
  },
  arm: (request) => session?.arm(request),
  beginAt: (beatZeroSeconds, leadSeconds) => session?.beginAt(beatZeroSeconds, leadSeconds),
  async disarm() {
    await session?.disarm();
  },
  async endTake() {
    await session?.endTake();
  },
  noteClicks: (times) => session?.noteClicks(times),
  clickDelays(due) {
    if (!session) return [];
    const { samples, startSeconds, sampleRateHz } = session.newest(30);
    // A round trip is between nothing and half a second: look around the middle of that.
    const middle = 0.25;
    return due.flatMap((time) => {
      const expected = time - startSeconds + middle;
      return findClicks(samples, sampleRateHz, [expected], middle).map(
        ({ timeSeconds }) => timeSeconds - (time - startSeconds),
      );
    });
  },
  async keepLastMinute({ hornId, a4Hz, scale, source, sampleRateHz }) {
    const { samples } = session?.newest(60) ?? { samples: new Float32Array(0) };
    if (samples.length < sampleRateHz) return null;
    const id = crypto.randomUUID();
    const lengthSeconds = samples.length / sampleRateHz;
    const record: TakeRecord = {
      id,
      state: 'kept',
      kind: 'free',
      startedAt: Math.round(Date.now() - 1000 * lengthSeconds),
      hornId,
      a4Hz,
      scale,
      source,
      eyes: 'watch',
      sampleRateHz,
      lengthSeconds,
      context: null,
      dueClickSeconds: [],
      foundClickSeconds: [],
      analysis: null,
      loudness: null,
      playerNote: '',
      recovered: false,
      deletedAt: null,
    };
    await store(record, samples, listenTo(samples, sampleRateHz));
    return id;
  },
  async keepSound(request: KeepRequest) {
    const { samples, sampleRateHz } = request;
    const takeId = crypto.randomUUID();
    const track = listenTo(samples, sampleRateHz);
    const record = judgeRecord(newTakeRecord({ ...request, takeId }), samples, track);
    if (record.analysis === null) return null;
    await store(record, samples, track);
    return takeId;
  },
  async recover(takeId) {
    await withAbandonedTake(takeId, async () => {
      const record = await readTake(takeId);
      if (record?.state !== 'recording') return;
      const samples = await loadSamples(takeId);
      const track = listenTo(samples, record.sampleRateHz);
      const judged = judgeRecord(record, samples, track);
      // A take without a tone was nothing but the wait for one.
      if (judged.analysis === null && record.kind === 'swell') await eraseTake(takeId);
      else await finishTake({ ...judged, recovered: true }, track.slice(0));
    });
  },
  renderStandIn(request) {
    const { samples } = playExercise({ ...request, leadSeconds: 1, tailSeconds: 2 });
    return Comlink.transfer(samples, [samples.buffer]);
  },
  renderFreePlaying(request) {
    const samples = renderFreePlaying(request);
    return Comlink.transfer(samples, [samples.buffer]);
  },
};

Comlink.expose(worker);
