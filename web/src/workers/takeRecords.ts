import { CLICK_SECONDS, findClicks, findHoles, type FrameTrack } from '@inner-hum/core/hearing';
import { analyseTake, playingLoadOf, takeLoudness, type TakeContext } from '@inner-hum/core/judge';
import { wallClock, type Gear, type TakeRecord } from '../storage/index.ts';
import type { FreeRequest, InputSource } from './protocol.ts';

/** How far from its due time a click may be found: what latency calibration leaves, or all of it without one. */
const SLACK_SECONDS = 0.25;

/** What is known of a take when it begins. */
export interface TakeSetting {
  takeId: string;
  context: TakeContext;
  gear: Gear;
  source: InputSource;
  eyes: 'watch' | 'blind';
  sampleRateHz: number;
  startedAt: number;
  playerNote: string;
  roundId: string | null;
  phrase: number;
}

/** What every record begins with. */
const UNJUDGED = {
  dueClickSeconds: [],
  foundClickSeconds: [],
  analysis: null,
  loudness: null,
  playingLoad: null,
  call: null,
  recovered: false,
  deletedAt: null,
} satisfies Partial<TakeRecord>;

/** A take's record before anything is known but how it will be judged. */
export function newTakeRecord(setting: TakeSetting): TakeRecord {
  const { takeId, context, gear, source, eyes, sampleRateHz, startedAt, playerNote, roundId, phrase } =
    setting;
  return {
    ...structuredClone(UNJUDGED),
    id: takeId,
    state: 'recording',
    kind: 'exercise',
    roundId,
    phrase,
    startedAt,
    ...wallClock(startedAt),
    hornId: context.hornId,
    ...gear,
    a4Hz: context.a4Hz,
    scale: context.scale,
    source,
    eyes,
    sampleRateHz,
    lengthSeconds: 0,
    context,
    playerNote,
  };
}

/** Judges a finished sound and completes its record; analysis null where no tone was heard. */
export function judgeRecord(record: TakeRecord, samples: Float32Array, track: FrameTrack): TakeRecord {
  const foundClickSeconds = findClicks(
    samples,
    record.sampleRateHz,
    record.dueClickSeconds,
    SLACK_SECONDS,
  ).map(({ timeSeconds }) => timeSeconds);
  const foreign = [
    ...findHoles(samples, record.sampleRateHz),
    ...foundClickSeconds.map((timeSeconds) => ({ timeSeconds, lengthSeconds: CLICK_SECONDS })),
  ];
  const analysis = record.context ? analyseTake(track, record.context, foreign) : null;
  return {
    ...record,
    state: 'kept',
    lengthSeconds: samples.length / record.sampleRateHz,
    foundClickSeconds,
    analysis,
    playingLoad: playingLoadOf(track, record),
    // A level that was worked on says nothing of how soft and loud this player is.
    loudness: analysis && !analysis.processing ? takeLoudness(track) : null,
  };
}

/** The record of free playing, kept as it is: it ends now and was `sampleCount` long. */
export function newFreeRecord(
  request: FreeRequest,
  sampleRateHz: number,
  sampleCount: number,
  track: FrameTrack,
): TakeRecord {
  const lengthSeconds = sampleCount / sampleRateHz;
  const startedAt = Math.round(Date.now() - 1000 * lengthSeconds);
  return {
    ...structuredClone(UNJUDGED),
    id: crypto.randomUUID(),
    state: 'kept',
    kind: 'free',
    roundId: null,
    phrase: 0,
    startedAt,
    ...wallClock(startedAt),
    hornId: request.hornId,
    ...request.gear,
    a4Hz: request.a4Hz,
    scale: request.scale,
    source: request.source,
    eyes: 'watch',
    sampleRateHz,
    lengthSeconds,
    context: null,
    playingLoad: playingLoadOf(track, request),
    playerNote: '',
  };
}
