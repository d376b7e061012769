import { expect, it } from 'vitest';
import { FrameTrack } from '../hearing/index.ts';
import { toneColour } from './index.ts';

it('takes the colour of a sound from its frames with a pitch, harmonics against the loudest', () => {
  const track = new FrameTrack();
  const partials = Float64Array.from({ length: 16 }, (_, k) => -20 - 6 * Math.abs(k - 1));
  for (let i = 0; i < 30; i++) track.append(220, 0.9, -20, 2 + 0.1 * (i % 3), -25, NaN, partials);
  for (let i = 0; i < 50; i++) track.append(NaN, 0, -60, NaN, NaN, -50);
  const colour = toneColour(track.slice(0));
  expect(colour.centroidHarmonics).toBeCloseTo(2.1, 5);
  expect(colour.noiseToHarmonicDb).toBe(-25);
  expect(colour.harmonicsDb.slice(0, 4)).toEqual([-6, 0, -6, -12]);
  // Packed frames have no harmonics: no answer is none.
  const packed = track.slice(0);
  packed.partialsDb.fill(NaN);
  expect(toneColour(packed).harmonicsDb).toEqual([]);
});
