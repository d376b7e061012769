import { expect, it } from 'vitest';
import { findHoles, listenTo } from '../hearing/index.ts';
import { createRandom } from '../signal/index.ts';
import { firstSound, hasNoiseGate } from './noiseGate.ts';

const RATE = 24000;

type Cut = readonly [from: number, to: number, fadeSeconds?: number];

/**
 * Four seconds: a tone from 1 to 2 s and from 2.5 to 3 s, over white noise of this level, cut to nothing in these spans: at once, or over
 * some time.
 */
function sounding(noiseDb: number, cuts: readonly Cut[] = []): Float32Array {
  const random = createRandom(3);
  return Float32Array.from({ length: 4 * RATE }, (_, n) => {
    const seconds = n / RATE;
    const gains = cuts.map(([from, to, fade = 0]) =>
      seconds >= from && seconds < to
        ? 0
        : seconds < from && fade > 0
          ? Math.min(1, (from - seconds) / fade)
          : 1,
    );
    const sounds = (seconds > 1 && seconds < 2) || (seconds > 2.5 && seconds < 3);
    const tone = sounds ? 0.05 * Math.sin(2 * Math.PI * 233 * seconds) : 0;
    return Math.min(1, ...gains) * (tone + 10 ** (noiseDb / 20) * random.normal());
  });
}

const heard = (noiseDb: number, cuts: readonly Cut[] = []) => listenTo(sounding(noiseDb, cuts), RATE);

it.each<[what: string, isGate: boolean, noiseDb: number, cuts?: readonly Cut[]]>([
  ['the noise of a room', false, -70],
  ['the quietest microphone', false, -98],
  ['silence between two tones', true, -60, [[2.05, 2.45, 0.01]]],
  ['silence that comes slowly', true, -60, [[2.15, 2.45, 0.1]]],
  ['silence after the last one', true, -60, [[3.05, 4, 0.01]]],
  ['an input that opens late', false, -60, [[0, 0.9]]],
  ['a hole of a busy machine', false, -60, [[2.2, 2.28]]],
  ['a machine that halted within a tone', false, -60, [[1.3, 1.7]]],
  ['one that halted within a rest', false, -60, [[3.3, 3.7]]],
  ['an input that was muted within a tone, until the end', false, -60, [[2.8, 4]]],
  [
    'a gate in a take with such a hole',
    true,
    -60,
    [
      [1.3, 1.6],
      [3.05, 4, 0.01],
    ],
  ],
  ['nothing at all', false, -60, [[0, 4]]],
])('%s: a gate, %s', (_, isGate, noiseDb, cuts = []) => {
  const samples = sounding(noiseDb, cuts);
  expect(hasNoiseGate(listenTo(samples, RATE), findHoles(samples, RATE))).toBe(isGate);
});

it('finds where anything is heard first', () => {
  expect(firstSound(heard(-60))).toBeLessThanOrEqual(1);
  expect(Math.abs(firstSound(heard(-60, [[0, 0.9]])) - 90)).toBeLessThan(5);
  expect(firstSound(heard(-60, [[0, 4]]))).toBe(heard(-60, [[0, 4]]).count);
});
