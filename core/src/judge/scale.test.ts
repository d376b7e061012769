import { expect, it } from 'vitest';
import { DEFAULT_SCALE } from '../exercise/index.ts';
import { listenTo } from '../hearing/index.ts';
import { playNote, STEADY_HAND } from '../simulated/index.ts';
import { learnScale, measureSteadyTone } from './index.ts';

it('learns the player from takes: pp and ff are the quietest and loudest playing, ppp and fff one mark on', () => {
  const takes = Array.from({ length: 20 }, () => ({ softDb: -50, loudDb: -25 }));
  expect(learnScale(DEFAULT_SCALE, takes)).toEqual({ floorDb: -55, ceilingDb: -20, source: 'takes' });
  // One odd take in twenty does not move it.
  expect(learnScale(DEFAULT_SCALE, [...takes.slice(1), { softDb: -90, loudDb: 0 }]).floorDb).toBeGreaterThan(
    -60,
  );
});

it('keeps a calibrated scale, and waits for takes enough with span enough', () => {
  const takes = Array.from({ length: 5 }, () => ({ softDb: -50, loudDb: -25 }));
  const calibrated = { floorDb: -44, ceilingDb: -18, source: 'calibrated' } as const;
  expect(learnScale(calibrated, takes)).toBe(calibrated);
  expect(learnScale(DEFAULT_SCALE, takes.slice(0, 2))).toBe(DEFAULT_SCALE);
  expect(
    learnScale(
      DEFAULT_SCALE,
      takes.map(() => ({ softDb: -30, loudDb: -25 })),
    ),
  ).toBe(DEFAULT_SCALE);
});

it('measures a held calibration note and refuses a short one', () => {
  const held = (lengthSeconds: number) =>
    playNote({
      soundingHz: 293.66,
      partial: 1,
      lengthSeconds,
      secondsPerBeat: 1,
      levelDbAtBeat: () => -41,
      turnBeat: null,
      scale: DEFAULT_SCALE,
      profile: { ...STEADY_HAND, breathDbSoft: -15, breathDbLoud: -15 },
      sampleRateHz: 44100,
      seed: 2,
      leadSeconds: 0.4,
      tailSeconds: 0.4,
    }).samples;
  const tone = measureSteadyTone(listenTo(held(2), 44100), -70);
  expect(tone?.levelDb).toBeCloseTo(-41, 0);
  expect(tone?.levelSpreadDb).toBeLessThan(0.5);
  expect(1200 * Math.log2((tone?.f0Hz ?? 0) / 293.66)).toBeCloseTo(0, 0);
  expect(measureSteadyTone(listenTo(held(0.6), 44100), -70)).toBeNull();
  expect(measureSteadyTone(listenTo(held(2), 44100), -38)).toBeNull();
});
