import { DEFAULT_SCALE, type Exercise } from '@inner-hum/core/exercise';
import type { TakeContext } from '@inner-hum/core/judge';
import { wallClock } from './moment.ts';
import type { TakeRecord } from './records.ts';

/** For tests: a take of a second after the epoch in which nothing was written, judged or measured yet. Whoever stores it leaves it as it is. */
export const TEST_TAKE: TakeRecord = Object.freeze<TakeRecord>({
  id: 'a',
  state: 'recording',
  kind: 'exercise',
  roundId: null,
  phrase: 0,
  call: null,
  startedAt: 1000,
  ...wallClock(1000),
  hornId: 'alto',
  a4Hz: 440,
  scale: DEFAULT_SCALE,
  source: 'microphone',
  eyes: 'watch',
  sampleRateHz: 48000,
  lengthSeconds: 0,
  context: null,
  dueClickSeconds: [],
  foundClickSeconds: [],
  analysis: null,
  loudness: null,
  playingLoad: null,
  mouthpieceId: 'alto.first',
  reedKind: '',
  reedId: '',
  playerNote: '',
  recovered: false,
  deletedAt: null,
});

/** For tests: what an exercise is judged by as long as nothing particular is asked. */
export const testContext = (exercise: Exercise): TakeContext => ({
  exercise,
  hornId: 'alto',
  a4Hz: 440,
  scale: DEFAULT_SCALE,
  toleranceId: 'usual',
  roomFloorDb: null,
  beatZeroSeconds: null,
});
