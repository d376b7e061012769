import fc from 'fast-check';
import { expect, it } from 'vitest';
import { DEFAULT_SCALE, FAMILIES, phraseExercise, scoreOf, type Family } from '../exercise/index.ts';
import { hornById, HORN_IDS, pitchTarget } from '../horn/index.ts';
import { playExercise, PROFILES, STEADY_HAND, type ProfileId } from './index.ts';

// Enough for the highest partial that is told, and quick to play.
const RATE = 12000;
const FRAME_SECONDS = 0.01;

const anyPlaying = fc.record({
  hornId: fc.constantFrom(...HORN_IDS),
  profile: fc.constantFrom(STEADY_HAND, ...Object.keys(PROFILES).map((id) => PROFILES[id as ProfileId])),
  phrase: fc.nat(30),
  a4Hz: fc.constantFrom(432, 440, 443),
  seed: fc.nat(1000),
});

it('plays every family on every horn in any hand, and tells what became of each item in order', () => {
  const heard = { families: new Set<string>(), notes: 0, worstCents: 0 };
  const playFamily = (family: Family) =>
    fc.property(anyPlaying, ({ hornId, profile, phrase, a4Hz, seed }) => {
      const horn = hornById(hornId);
      if (!family.options(horn)) return;
      const whole = family.build(horn, { tempoBpm: 200 });
      const exercise = phraseExercise(whole, phrase % whole.phrases.length);
      const score = scoreOf(exercise);
      const { samples, truth, items, beatZeroSeconds } = playExercise({
        exercise,
        hornId,
        a4Hz,
        scale: DEFAULT_SCALE,
        profile,
        sampleRateHz: RATE,
        seed,
        leadSeconds: 0.5,
        tailSeconds: 0.5,
      });
      heard.families.add(family.id);

      // It can be kept as 16 bits without clipping, and nothing in it is no number.
      expect(samples.every((value) => Math.abs(value) <= 1)).toBe(true);
      const lengthSeconds = samples.length / RATE;
      const written = (score[score.length - 1].endBeat * 60) / exercise.tempoBpm;
      expect(lengthSeconds).toBeGreaterThanOrEqual(beatZeroSeconds + written);

      expect(items).toHaveLength(score.length);
      let latest = 0;
      items.forEach(({ played, onsetSeconds, endSeconds }, i) => {
        const { item } = score[i];
        if (item.kind === 'rest') expect(onsetSeconds).toBeNull();
        if (onsetSeconds === null || endSeconds === null) return;
        expect(onsetSeconds).toBeGreaterThanOrEqual(latest);
        expect(endSeconds).toBeGreaterThan(onsetSeconds);
        expect(endSeconds).toBeLessThanOrEqual(lengthSeconds);
        latest = onsetSeconds;
        // What is played as written lies where it is written, but for what the hand does to it.
        if (item.kind !== 'note' || item.bend || exercise.body || played !== 'asWritten') return;
        const { targetHz } = pitchTarget(item, hornId, a4Hz, exercise.overtones);
        const cents = [...truth.f0Hz]
          .slice(Math.ceil(onsetSeconds / FRAME_SECONDS), Math.floor(endSeconds / FRAME_SECONDS))
          .filter((hz) => !Number.isNaN(hz))
          .map((hz) => 1200 * Math.log2(hz / targetHz))
          .toSorted((a, b) => a - b);
        const off = Math.abs(cents[cents.length >> 1]);
        heard.notes++;
        heard.worstCents = Math.max(heard.worstCents, off);
        expect(off, `${family.id} item ${i}`).toBeLessThan(30);
      });
    });
  for (const family of FAMILIES) fc.assert(playFamily(family), { numRuns: 2 });
  expect(heard.families.size).toBe(FAMILIES.length);
  console.info(
    `${heard.notes} notes of ${heard.families.size} families; the farthest ${heard.worstCents.toFixed(0)} cents off`,
  );
});
