import { expect, it } from 'vitest';
import { FrameTrack, MAX_PARTIAL } from '../hearing/index.ts';
import { partialsApartDb } from './partialsApart.ts';

const FRAMES = 400;

/** A tone whose whole level and whose partials (from 0) have these levels at each frame, dB; NaN: the partial does not stand out. */
function tone(levelDb: (i: number) => number, partialDb: (k: number, i: number) => number): FrameTrack {
  const columns = new FrameTrack(FRAMES).slice(0, FRAMES);
  columns.partialsDb.fill(NaN);
  for (let i = 0; i < FRAMES; i++) {
    columns.levelDb[i] = levelDb(i);
    for (let k = 0; k < 6; k++) columns.partialsDb[i * MAX_PARTIAL + k] = partialDb(k, i);
  }
  return FrameTrack.from(columns);
}

const swelling = (i: number) => -40 + i / 20;
/** A wave of 3 dB with a period of its own for each partial: 3 / sqrt 2 dB as root of the mean square. */
const wave = (k: number, i: number) => 3 * Math.sin((2 * Math.PI * (k + 2) * i) / FRAMES);

it('is nothing where each partial follows the level in its own measure', () => {
  const track = tone(swelling, (k, i) => (1 + k / 4) * swelling(i) - 6 * k);
  expect(partialsApartDb(track, 0, FRAMES)).toBeCloseTo(0, 3);
});

it('is how far each goes by itself', () => {
  const track = tone(
    () => -20,
    (k, i) => -20 - 6 * k + wave(k, i),
  );
  expect(partialsApartDb(track, 0, FRAMES)).toBeCloseTo(3 / Math.SQRT2, 2);
  expect(
    partialsApartDb(
      tone(swelling, (k, i) => swelling(i) + wave(k, i)),
      0,
      FRAMES,
    ),
  ).toBeCloseTo(3 / Math.SQRT2, 0);
});

it('asks the middle one: two that come and go do not make a tone uncertain', () => {
  const track = tone(swelling, (k, i) => swelling(i) - 6 * k + (k > 3 ? wave(k, i) : 0));
  expect(partialsApartDb(track, 0, FRAMES)).toBeLessThan(0.1);
});

it('has no answer where fewer than three partials stand out', () => {
  const track = tone(swelling, (k, i) => (k > 1 ? NaN : swelling(i)));
  expect(partialsApartDb(track, 0, FRAMES)).toBeNull();
});
