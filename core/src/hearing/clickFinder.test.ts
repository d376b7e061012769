import { expect, it } from 'vitest';
import { DEFAULT_SCALE } from '../exercise/index.ts';
import { playNote, WARM_UP } from '../simulated/index.ts';
import { findClicks, renderClick } from './index.ts';

const { samples } = playNote({
  soundingHz: 233,
  partial: 1,
  lengthSeconds: 6,
  secondsPerBeat: 1,
  levelDbAtBeat: (beat) => -40 + 4 * beat,
  turnBeat: null,
  scale: DEFAULT_SCALE,
  profile: WARM_UP,
  sampleRateHz: 48000,
  seed: 9,
  leadSeconds: 0.4,
  tailSeconds: 0.6,
});
const times = [0.9, 1.9, 2.9, 3.9, 4.9, 5.9];

it('finds clicks at their sample under a loud horn, up to the slack away from where they were due', () => {
  const click = renderClick(48000);
  const mixed = samples.slice();
  for (const time of times)
    click.forEach((value, n) => (mixed[Math.round(time * 48000) + n] += 0.05 * value));
  const due = times.map((time, i) => time + (i % 2 === 0 ? 0.2 : -0.2));
  const found = findClicks(mixed, 48000, due, 0.25);
  expect(found).toHaveLength(times.length);
  found.forEach(({ timeSeconds }, i) => expect(Math.abs(timeSeconds - times[i])).toBeLessThan(0.001));
});

it('finds none where none sound: headphones', () => {
  expect(findClicks(samples, 48000, times, 0.25)).toEqual([]);
});
