import { describe, expect, it } from 'vitest';
import { buildSwell, DEFAULT_SCALE } from '../exercise/index.ts';
import { writtenMidi } from '../horn/index.ts';
import { playExercise, playPhrase, STEADY_HAND, WARM_UP, type SimulatedProfile } from './index.ts';
import { createHarmonicShape, shapeHarmonicsInto } from './spectrum.ts';

function swell(profile: Partial<SimulatedProfile> = {}, seed = 1) {
  return playExercise({
    exercise: buildSwell({
      note: writtenMidi(67),
      shape: 'growFade',
      beats: 4,
      tempoBpm: 60,
      start: 'playToStart',
    }),
    hornId: 'alto',
    a4Hz: 440,
    scale: DEFAULT_SCALE,
    profile: { ...STEADY_HAND, ...profile },
    sampleRateHz: 48000,
    seed,
    leadSeconds: 0.2,
    tailSeconds: 0.2,
  });
}

const rmsDb = (samples: Float32Array) =>
  10 * Math.log10(samples.reduce((sum, value) => sum + value * value, 0) / samples.length);

describe('the simulated player', () => {
  it('plays the same for the same seed and differently for another', () => {
    expect(swell(WARM_UP, 5).samples).toEqual(swell(WARM_UP, 5).samples);
    expect(swell(WARM_UP, 5).samples).not.toEqual(swell(WARM_UP, 6).samples);
  });

  it('is as loud as its truth says, noise and all', () => {
    for (const breathDbSoft of [-45, -6]) {
      const { samples, truth } = swell({ breathDbSoft, breathDbLoud: breathDbSoft });
      for (const seconds of [0.8, 2.2, 3.6]) {
        const around = samples.slice((seconds - 0.05) * 48000, (seconds + 0.05) * 48000);
        expect(Math.abs(rmsDb(around) - truth.levelDb[Math.round(seconds * 100)])).toBeLessThan(0.7);
      }
    }
  });

  it('is silent before its air and after its tone but for the noise of a microphone', () => {
    const { samples, truth } = swell({ responseMs: 150 });
    expect(truth.toneOnsetSeconds).toBeCloseTo(0.35, 9);
    for (const quiet of [samples.slice(0, 9600), samples.slice(-9000)])
      expect(rmsDb(quiet)).toBeCloseTo(-90, 0);
    expect(rmsDb(samples.slice(0.25 * 48000, 0.33 * 48000))).toBeGreaterThan(-70);
    expect(Number.isNaN(truth.f0Hz[20])).toBe(true);
  });

  it('goes away from what was meant and stays there, and says so', () => {
    const swerve = { atSeconds: 1, overSeconds: 0.5, cents: 20, levelDb: -6, breathDb: 0 };
    const meant = swell().truth;
    const { truth } = swell({ swerve });
    const change = (seconds: number) => {
      const i = Math.round((0.2 + seconds) * 100);
      return [1200 * Math.log2(truth.f0Hz[i] / meant.f0Hz[i]), truth.levelDb[i] - meant.levelDb[i]];
    };
    for (const [seconds, share] of [
      [0.9, 0],
      [1.25, 0.5],
      [3.5, 1],
    ]) {
      const [cents, db] = change(seconds);
      expect(cents).toBeCloseTo(20 * share, 6);
      expect(db).toBeCloseTo(-6 * share, 6);
    }
  });

  it('tells the pitch it bends, and the partial it jumps to', () => {
    const { truth } = swell({
      tendencyCents: 5,
      bendCentsPer10Db: -10,
      jumps: [{ atSeconds: 1, lengthSeconds: 0.3, toPartial: 3 }],
    });
    const sounding = 440 * 2 ** ((67 - 9 - 69) / 12);
    const cents = (seconds: number) =>
      1200 * Math.log2(truth.f0Hz[Math.round((0.2 + seconds) * 100)] / sounding);
    // At the turn ff is -46 + 30 * 6/7 = -20.29 dBFS, 10.71 over the middle: 5 - 10.71 cents.
    expect(cents(2)).toBeCloseTo(-5.71, 1);
    expect(cents(1.1)).toBeGreaterThan(1800);
    expect(truth.jumps).toEqual([{ timeSeconds: 1.2, lengthSeconds: 0.3, from: 1, to: 3 }]);
  });

  it('moves its peak late and stands still on a stair', () => {
    const late = swell({ peakLateBeats: 0.5 }).truth.levelDb;
    const peak = late.reduce(
      (best, level, i) => (level > late[best] || Number.isNaN(late[best]) ? i : best),
      30,
    );
    expect(peak / 100 - 0.2).toBeCloseTo(2.5, 1);
    const { levelDb } = swell({ stairs: [{ atBeat: 0.5, holdSeconds: 0.6 }] }).truth;
    expect(levelDb[125] - levelDb[75]).toBeCloseTo(0, 6);
    expect(levelDb[145] - levelDb[125]).toBeGreaterThan(6);
  });

  it('plays a phrase as its notes one after the other', () => {
    const note = {
      soundingHz: 300,
      partial: 1,
      lengthSeconds: 0.5,
      secondsPerBeat: 1,
      levelDbAtBeat: () => -20,
      turnBeat: null,
      scale: DEFAULT_SCALE,
      profile: STEADY_HAND,
      sampleRateHz: 16000,
      seed: 1,
      leadSeconds: 0.25,
      tailSeconds: 0.25,
    };
    expect(playPhrase([note, { ...note, soundingHz: 400 }]).length).toBe(32000);
  });
});

describe('its spectrum', () => {
  const shape = createHarmonicShape();
  const brightness = (f0Hz: number, loudness: number) => {
    shapeHarmonicsInto(shape, f0Hz, loudness, 48000);
    const amplitudes = Array.from(shape.amplitude.subarray(0, shape.count));
    const power = amplitudes.reduce((sum, a) => sum + (a * a) / 2, 0);
    expect(power).toBeCloseTo(1, 9);
    return amplitudes.reduce((sum, a, i) => sum + (i + 1) * a, 0) / amplitudes.reduce((sum, a) => sum + a, 0);
  };

  it('grows brighter with loudness, keeps unit power, and ends below the top', () => {
    for (const f0Hz of [70, 233, 1000]) expect(brightness(f0Hz, 1)).toBeGreaterThan(brightness(f0Hz, 0));
    shapeHarmonicsInto(shape, 2600, 0.5, 44100);
    expect(shape.count).toBe(5);
  });

  it('hides the fundamental of a loud low note under its harmonics', () => {
    shapeHarmonicsInto(shape, 75, 1, 48000);
    expect(shape.amplitude[0]).toBeLessThan(shape.amplitude[2]);
  });
});
