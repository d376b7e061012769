import { expect, it } from 'vitest';
import { createRandom } from '../signal/index.ts';
import { convolver } from './convolve.ts';

it.each([
  [1, 1],
  [1000, 1],
  [700, 1300],
  [4096, 4096],
  [9000, 300],
])('is the sum of every delayed echo: %i samples through %i', (length, responseLength) => {
  const random = createRandom(5);
  const noise = (count: number) => Float32Array.from({ length: count }, () => random.normal());
  const [samples, response] = [noise(length), noise(responseLength)];
  const heard = convolver(response)(samples);
  expect(heard).toHaveLength(length);
  for (let n = 0; n < length; n += 37) {
    let sum = 0;
    for (let k = 0; k <= Math.min(n, responseLength - 1); k++) sum += response[k] * samples[n - k];
    expect(Math.abs(heard[n] - sum), `${n}`).toBeLessThan(1e-4);
  }
});
