import { expect, it } from 'vitest';
import { listenTo, type FrameTrack, type NonPlayerSpan } from '../hearing/index.ts';
import { createRandom } from '../signal/index.ts';
import { firstSound, hasNoiseGate } from './noiseGate.ts';

const RATE = 24000;

/** Four seconds: a tone from 1 to 2 s and from 2.5 to 3 s, over white noise of this level that is cut to nothing in these spans. */
function heard(noiseDb: number, cuts: readonly (readonly [from: number, to: number])[] = []): FrameTrack {
  const random = createRandom(3);
  const samples = Float32Array.from({ length: 4 * RATE }, (_, n) => {
    const seconds = n / RATE;
    if (cuts.some(([from, to]) => seconds >= from && seconds < to)) return 0;
    const sounds = (seconds > 1 && seconds < 2) || (seconds > 2.5 && seconds < 3);
    const tone = sounds ? 0.05 * Math.sin(2 * Math.PI * 233 * seconds) : 0;
    return tone + 10 ** (noiseDb / 20) * random.normal();
  });
  return listenTo(samples, RATE);
}

const hole = (timeSeconds: number, lengthSeconds: number): NonPlayerSpan => ({ timeSeconds, lengthSeconds });

it.each<[what: string, isGate: boolean, track: FrameTrack, foreign?: NonPlayerSpan[]]>([
  ['the noise of a room', false, heard(-70)],
  ['the quietest microphone', false, heard(-98)],
  ['silence between two tones', true, heard(-60, [[2.05, 2.45]])],
  ['silence after the last one', true, heard(-60, [[3.05, 4]])],
  ['an input that opens late', false, heard(-60, [[0, 0.9]])],
  ['a hole of a busy machine', false, heard(-60, [[2.2, 2.28]])],
  ['a long hole that is known', false, heard(-60, [[2.1, 2.4]]), [hole(2.1, 0.3)]],
  ['a long hole beside a known one', true, heard(-60, [[2.05, 2.45]]), [hole(3.4, 0.3)]],
  ['nothing at all', false, heard(-60, [[0, 4]])],
])('%s: a gate, %s', (_, isGate, track, foreign = []) => {
  expect(hasNoiseGate(track, foreign)).toBe(isGate);
});

it('finds where anything is heard first', () => {
  expect(firstSound(heard(-60))).toBeLessThanOrEqual(1);
  expect(Math.abs(firstSound(heard(-60, [[0, 0.9]])) - 90)).toBeLessThan(5);
  expect(firstSound(heard(-60, [[0, 4]]))).toBe(heard(-60, [[0, 4]]).count);
});
