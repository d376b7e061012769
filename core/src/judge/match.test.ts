import { expect, it } from 'vitest';
import { DEFAULT_SCALE, familyById, phraseExercise } from '../exercise/index.ts';
import { listenTo } from '../hearing/index.ts';
import { hornById } from '../horn/index.ts';
import { analyseTake } from './index.ts';
import { matchDb } from './match.ts';

const RATE = 48000;
const HZ = 440 * 2 ** ((77 - 9 - 69) / 12);

/** F5 of the alto twice, 2 s each, with 1 s between; the second with its own levels of harmonics and its own pitch. */
function twoSounds(first: readonly number[], second: readonly number[], cents: number): Float32Array {
  const samples = new Float32Array(RATE * 7);
  const add = (from: number, levels: readonly number[], hz: number) => {
    for (let n = 0; n < RATE * 2; n++) {
      const fade = Math.min(1, n / 800, (RATE * 2 - n) / 800);
      const value = levels.reduce(
        (sum, db, k) => sum + 10 ** (db / 20) * Math.sin((2 * Math.PI * (k + 1) * hz * n) / RATE),
        0,
      );
      samples[Math.round(from * RATE) + n] += fade * value;
    }
  };
  add(1, first, HZ);
  add(4, second, HZ * 2 ** (cents / 1200));
  return samples;
}

it('compares two sounds of one pitch: level apart, colour and pitch as they were made', () => {
  const built = familyById('overtoneMatch')?.build(hornById('alto'), {
    note: 58,
    partial: 3,
    beats: 2,
    restBeats: 1,
  });
  if (!built) throw new Error('no family');
  const exercise = phraseExercise(built, 0);
  const levels = [-26, -24, -30, -34, -38, -44];
  // Every harmonic 6 dB softer, the even ones 4 dB more: alternately +2 and -2 dB around their mean, RMS 2 dB.
  const other = levels.map((db, k) => db - 6 - (k % 2 === 1 ? 4 : 0));
  const analysis = analyseTake(
    listenTo(twoSounds(levels, other, -12), RATE),
    {
      exercise,
      hornId: 'alto',
      a4Hz: 440,
      scale: DEFAULT_SCALE,
      toleranceId: 'usual',
      roomFloorDb: null,
      beatZeroSeconds: null,
    },
    [],
  );
  const [first, , second] = analysis?.items ?? [];
  if (first?.kind !== 'note' || second?.kind !== 'note') throw new Error('not followed');
  expect(first.measures?.matchDb).toBeUndefined();
  expect(second.measures?.matchDb).toBeCloseTo(2, 1);
  expect(second.measures?.matchCents).toBeCloseTo(-12, 0);
  expect(second.verdict?.findings.map(({ kind }) => kind)).toContain('pitchApart');
});

it('says nothing of profiles that have too little in common', () => {
  expect(matchDb([0, -6, null, -9], [-3, null, -8, -12])).toBe(null);
  expect(matchDb([0, -6, -12], [-10, -16, -22])).toBeCloseTo(0, 9);
});
