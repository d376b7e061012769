import { describe, expect, it } from 'vitest';
import { buildSwell, DEFAULT_SCALE, notesOf, scoreOf, SWELL_SHAPES } from '../exercise/index.ts';
import { listenTo } from '../hearing/index.ts';
import { HORNS, pitchTarget, writtenMidi } from '../horn/index.ts';
import { createRandom } from '../signal/index.ts';
import { playExercise, STEADY_HAND } from '../simulated/index.ts';
import { median } from '../stats/index.ts';
import { analyseTake } from './index.ts';

/** A random player with random faults on a random note of a random horn; all of it from the seed. */
function randomTake(seed: number) {
  const random = createRandom(seed);
  const between = (low: number, high: number) => low + random.uniform() * (high - low);
  const pick = <Value>(values: readonly Value[]) => values[Math.floor(random.uniform() * values.length)];
  const horn = pick(HORNS);
  const exercise = buildSwell({
    note: writtenMidi(Math.round(between(horn.lowest, horn.highest))),
    shape: pick(SWELL_SHAPES),
    beats: 4,
    tempoBpm: 100,
    start: 'playToStart',
  });
  const context = { exercise, hornId: horn.id, a4Hz: Math.round(between(415, 446)), scale: DEFAULT_SCALE };
  const jumps =
    random.uniform() < 0.5 ? [{ atSeconds: between(0.8, 1.6), lengthSeconds: 0.35, toPartial: 3 }] : [];
  const profile = {
    ...STEADY_HAND,
    tendencyCents: between(-25, 25),
    bendCentsPer10Db: between(-9, 3),
    jitterCents: between(0, 2),
    breathDbSoft: between(-40, -10),
    breathDbLoud: -35,
    responseMs: between(0, 150),
    jumps,
  };
  const { samples, truth } = playExercise({
    ...context,
    profile,
    sampleRateHz: pick([44100, 48000]),
    seed,
    leadSeconds: 0.4,
    tailSeconds: 0.6,
  });
  return { context, profile, samples, truth, rate: samples.length / (truth.f0Hz.length - 1) / 0.01 };
}

describe('whatever the simulated player plays', () => {
  for (const seed of [11, 12, 13, 14, 15, 16, 17, 18, 19, 20])
    it(`is heard and judged as it was, seed ${seed}`, () => {
      const { context, profile, samples, truth, rate } = randomTake(seed);
      const track = listenTo(samples, Math.abs(rate - 44100) < 400 ? 44100 : 48000);
      const analysis = analyseTake(
        track,
        { ...context, toleranceId: 'usual', roomFloorDb: null, beatZeroSeconds: null },
        [],
      );
      expect(analysis).not.toBeNull();
      if (!analysis) return;
      const onset = analysis.events.find(({ type }) => type === 'toneOnset')?.timeSeconds ?? NaN;
      // The simulated player's attack takes 30 ms; its onset is half-way up.
      expect(Math.abs(onset - truth.toneOnsetSeconds - 0.015)).toBeLessThan(0.012);
      const { responseMs } = analysis.measures;
      // Air shorter than the window it is heard through is read as long as that.
      if (responseMs !== null)
        expect(Math.abs(responseMs - Math.max(40, profile.responseMs))).toBeLessThan(20);

      // The true median over the steady part, jumps left out. A listener notices 5 cents; 1.5 are allowed.
      const { targetHz } = pitchTarget(
        notesOf(scoreOf(context.exercise))[0].item,
        context.hornId,
        context.a4Hz,
      );
      const cents = Array.from(truth.f0Hz, (f0Hz) => 1200 * Math.log2(f0Hz / targetHz)).filter(
        (value, i) =>
          Math.abs(value) < 100 &&
          i > (truth.toneOnsetSeconds + 0.15) * 100 &&
          i < (truth.toneEndSeconds - 0.15) * 100,
      );
      expect(Math.abs((analysis.measures.centsMean ?? 999) - (median(cents) ?? 0))).toBeLessThan(1.5);

      // Every jump is found in its place and no other is invented.
      const found = analysis.events.filter(({ type }) => type === 'jump');
      const real = truth.jumps.filter(({ from, to }) => from !== to);
      expect(found).toHaveLength(real.length);
      found.forEach(({ timeSeconds }, i) =>
        expect(Math.abs(timeSeconds - real[i].timeSeconds)).toBeLessThan(0.05),
      );
    });
});
