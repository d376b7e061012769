import { transfer } from 'comlink';
import { droneLeakDb, findClicks, FrameTrack, listenTo } from '@inner-hum/core/hearing';
import { playExercise } from '@inner-hum/core/simulated';
import { eraseTake, finishTake, loadSamples, readTake, storeTake } from '../storage/index.ts';
import { createLiveSession, type LiveSession } from './liveSession.ts';
import type { CapturedBlock, SessionEvent, SessionWorker } from './protocol.ts';
import { renderFreePlaying } from './freePlaying.ts';
import { withAbandonedTake } from './takeLock.ts';
import { judgeRecord, newFreeRecord } from './takeRecords.ts';

const DRONE_SECONDS = 0.5;

/** What the session worker does, one listening at a time. */
export function createSessionWork(): SessionWorker {
  let session: LiveSession | null = null;
  let capturePort: MessagePort | null = null;
  return {
    attach(capture, events, sampleRateHz) {
      // A take still running on another input ends with it, and is kept.
      void session?.disarm();
      capturePort?.close();
      capturePort = capture;
      const send = (event: SessionEvent) => events.postMessage(event);
      session = createLiveSession(sampleRateHz, send);
      const live = session;
      capture.onmessage = ({ data }: MessageEvent<CapturedBlock>) => {
        try {
          live.push(data);
          // The database has its turn only where one waits for it.
          if (data.answer) void live.settled().then(() => capture.postMessage(null));
        } catch (error) {
          send({ type: 'workerFailed', message: String(error) });
        }
      };
    },
    arm: (request) => session?.arm(request),
    adjust: (change) => session?.adjust(change),
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
    droneLeak(partialsHz) {
      const newest = session?.newest(DRONE_SECONDS);
      if (!newest || newest.samples.length < 0.9 * DRONE_SECONDS * newest.sampleRateHz) return null;
      return droneLeakDb(newest.samples, newest.sampleRateHz, partialsHz);
    },
    async keepLastMinute(request) {
      const newest = session?.newestFrames(60);
      if (!newest || newest.samples.length < newest.sampleRateHz) return null;
      const record = newFreeRecord(
        request,
        newest.sampleRateHz,
        newest.samples.length,
        FrameTrack.from(newest.columns),
      );
      await storeTake({ record, samples: newest.samples, columns: newest.columns });
      return record.id;
    },
    async recover(takeId) {
      await withAbandonedTake(takeId, async () => {
        const record = await readTake(takeId);
        if (record?.state !== 'recording') return;
        const samples = await loadSamples(takeId);
        const track = listenTo(samples, record.sampleRateHz);
        const judged = judgeRecord(record, samples, track);
        // A take without a tone was nothing but the wait for one.
        if (judged.analysis === null && record.kind === 'exercise') await eraseTake(takeId);
        else await finishTake({ ...judged, recovered: true }, track.slice(0));
      });
    },
    renderSimulated(request) {
      const { samples } = playExercise({ ...request, leadSeconds: 1, tailSeconds: 2 });
      return transfer(samples, [samples.buffer]);
    },
    hearSimulated(request) {
      const { samples } = playExercise({ ...request, leadSeconds: 0, tailSeconds: 0.1 });
      const columns = listenTo(samples, request.sampleRateHz).slice(0);
      return transfer({ samples, columns }, [samples.buffer]);
    },
    renderFreePlaying(request) {
      const samples = renderFreePlaying(request);
      return transfer(samples, [samples.buffer]);
    },
  };
}
