import { expect, it } from 'vitest';
import { listenTo } from '../hearing/index.ts';
import { all, autoGain, hiss, type Disturb } from '../testing/disturbances.ts';
import { checkInput, type InputFault } from './inputCheck.ts';

const RATE = 24000;

/** A second of quiet, a note of two seconds at this level, a second and a half of quiet. */
function heard(levelDb: number, disturb: Disturb) {
  const samples = Float32Array.from({ length: 4.5 * RATE }, (_, n) => {
    const seconds = n / RATE - 1;
    if (seconds < 0 || seconds > 2) return 0;
    const gain = Math.SQRT2 * 10 ** (levelDb / 20) * Math.min(1, seconds / 0.03, (2 - seconds) / 0.03);
    return gain * Math.sin(2 * Math.PI * 233 * seconds);
  });
  return listenTo(disturb(samples, RATE), RATE);
}

it.each<[what: string, levelDb: number, disturb: Disturb, faults: InputFault[]]>([
  ['a good microphone', -28, hiss(40), []],
  ['one that is far away', -56, hiss(60), ['tooSoft']],
  ['one that is turned up too far', -2, hiss(40), ['tooLoud']],
  ['a fan beside it', -28, hiss(12), ['noisy']],
  ['noise suppression', -28, (samples) => samples.slice(), ['suppression']],
  ['automatic gain', -28, all(hiss(40), autoGain()), ['gain']],
])('tells %s', (_, levelDb, disturb, faults) => {
  const check = checkInput(heard(levelDb, disturb));
  expect(check.hasTone).toBe(true);
  expect(check.faults).toEqual(faults);
});

it('tells that nothing arrives, and how loud a room is in which nobody plays', () => {
  expect(checkInput(listenTo(new Float32Array(3 * RATE), RATE)).faults).toEqual(['silent']);
  const room = checkInput(listenTo(hiss(40)(new Float32Array(3 * RATE), RATE), RATE));
  expect(room).toMatchObject({ hasTone: false, faults: [] });
  expect(room.noiseDb).toBeGreaterThan(-76);
  expect(room.noiseDb).toBeLessThan(-66);
  expect(checkInput(listenTo(new Float32Array(100), RATE)).faults).toEqual(['silent']);
});
