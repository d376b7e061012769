import { expect, it } from 'vitest';
import { createRandom } from '../signal/index.ts';
import { findHoles } from './holes.ts';

const RATE = 8000;
const random = createRandom(4);

/** Two seconds of noise whose gain at a moment is this. */
const sound = (gainAt: (seconds: number) => number) =>
  Float32Array.from({ length: 2 * RATE }, (_, n) => gainAt(n / RATE) * 0.1 * (0.2 + random.uniform()));

const zero = (from: number, to: number) => (seconds: number) => (seconds >= from && seconds < to ? 0 : 1);
/** The sound sinks before it by 20 dB in so many seconds. */
const sinking = (from: number, to: number, over: number) => (seconds: number) =>
  seconds >= from && seconds < to
    ? 0
    : seconds < from && seconds > from - over
      ? 10 ** ((seconds - from + over) / -over)
      : 1;

it.each<[what: string, gainAt: (seconds: number) => number, holes: readonly [at: number, length: number][]]>([
  ['none in a sound', () => 1, []],
  ['a single sample is chance', zero(0.5, 0.5001), []],
  ['20 ms of a busy machine', zero(0.5, 0.52), [[0.5, 0.02]]],
  ['a short one, however the sound goes into it', sinking(0.5, 0.6, 0.05), [[0.5, 0.1]]],
  ['a machine that halted for long', zero(0.5, 1.3), [[0.5, 0.8]]],
  ['an input that is muted until the end', zero(1.2, 2), [[1.2, 0.8]]],
  ['none where nothing has come yet', zero(0, 0.4), []],
  ['none where the sound sank into a long silence', sinking(0.5, 1.3, 0.03), []],
  ['none where it sank into the silence of the end', sinking(1.2, 2, 0.03), []],
  ['none in silence', () => 0, []],
])('%s', (_, gainAt, holes) => {
  const found = findHoles(sound(gainAt), RATE);
  expect(
    found.map(({ timeSeconds, lengthSeconds }) =>
      [timeSeconds, lengthSeconds].map((s) => Math.round(1000 * s)),
    ),
  ).toEqual(holes.map((hole) => hole.map((s) => Math.round(1000 * s))));
});
