import { expect, it } from 'vitest';
import { writtenMidi } from '../horn/index.ts';
import {
  buildSwell,
  DEFAULT_SCALE,
  fractionAtLevel,
  levelAtFraction,
  nearestMark,
  parseExercise,
  targetFraction,
  writtenTurnBeat,
} from './index.ts';

const swell = buildSwell({
  note: writtenMidi(67),
  shape: 'growFade',
  beats: 8,
  tempoBpm: 60,
  start: 'playToStart',
});

it('writes a hairpin as a straight line in dB, from pp to ff and back', () => {
  const [note] = swell.items;
  // Seven even steps from ppp (0) to fff (1): pp = 1/7, ff = 6/7.
  const written = [1 / 7, 3.5 / 7, 6 / 7, 1 / 7];
  [0, 2, 4, 8].forEach((beat, i) => expect(targetFraction(note, beat)).toBeCloseTo(written[i], 12));
  expect(writtenTurnBeat(note)).toBe(4);
  expect(nearestMark(levelAtFraction(3 / 7, DEFAULT_SCALE), DEFAULT_SCALE)).toBe('mp');
  expect(fractionAtLevel(levelAtFraction(0.3, DEFAULT_SCALE), DEFAULT_SCALE)).toBeCloseTo(0.3, 12);
});

it('names the place of what is wrong in an exercise from outside', () => {
  const broken = structuredClone(swell);
  broken.items[0].dynamics[1].beat = 9;
  expect(() => parseExercise(broken)).toThrowError(/items\[0\]\.dynamics/);
  expect(() => parseExercise({ ...swell, tempoBpm: 1000 })).toThrowError(/tempoBpm/);
  expect(() => parseExercise('swell')).toThrowError(expect.objectContaining({ code: 'exercise-invalid' }));
});
