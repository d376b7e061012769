import type { FrameTrack } from '@inner-hum/core/hearing';
import type { TakeContext } from '@inner-hum/core/judge';
import type { ArmRequest, SessionEvent } from './protocol.ts';
import { holdTakeLock } from './takeLock.ts';
import { createTakeRecorder } from './takeRecorder.ts';

export interface RunningTake {
  readonly takeId: string;
  readonly context: TakeContext;
  /** Where it begins in the input's sound. */
  readonly startSample: number;
  /** Where it ends, once that is known. */
  endSample: number | null;
  append(samples: Float32Array<ArrayBuffer>): void;
  /** A click that was due at this time of the audio clock. */
  noteDueClick(contextSeconds: number): void;
  watched(): void;
  droneHeard(): void;
  /** Comes when all of it so far is stored. */
  written(): Promise<void>;
  /** Judges it by its frames, stores it and tells; the promise never fails. */
  finish(track: FrameTrack): Promise<void>;
}

/** Begins a take of what was armed: its sound is stored as it comes, and no other page takes it for left behind. */
export function startTake(
  request: ArmRequest,
  context: TakeContext,
  {
    sampleRateHz,
    startSample,
    agoSeconds,
  }: { sampleRateHz: number; startSample: number; agoSeconds: number },
  send: (event: SessionEvent) => void,
): RunningTake {
  const { takeId, gear, source, eyes, roundId, phrase, roundTripSeconds } = request;
  const recorder = createTakeRecorder({
    takeId,
    context,
    gear,
    source,
    eyes,
    sampleRateHz,
    startedAt: Math.round(Date.now() - 1000 * agoSeconds),
    playerNote: '',
    roundId,
    phrase,
    onStorageTrouble: (full) => send({ type: 'storageTrouble', full }),
    onUnsaved: (take) => send({ type: 'takeUnsaved', take }),
  });
  const releaseLock = holdTakeLock(takeId);
  return {
    takeId,
    context,
    startSample,
    endSample: null,
    append: (samples) => recorder.append(samples),
    noteDueClick: (contextSeconds) =>
      recorder.noteDueClick(contextSeconds + roundTripSeconds - startSample / sampleRateHz),
    watched: () => recorder.watched(),
    droneHeard: () => recorder.droneHeard(),
    written: () => recorder.written(),
    finish: (track) =>
      recorder
        .finish(track)
        .then((analysis) =>
          send(analysis ? { type: 'takeEnded', takeId, analysis } : { type: 'nothingHeard', takeId }),
        )
        // What could not be judged stays journaled, and is found on the next visit.
        .catch((error: unknown) => send({ type: 'workerFailed', message: String(error) }))
        .finally(releaseLock),
  };
}
