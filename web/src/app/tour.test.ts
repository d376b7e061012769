import { expect, it } from 'vitest';
import { stopAddress, stopOf, TOUR } from './tour.ts';

it('has eight stops, each of which knows itself by its address', () => {
  expect(TOUR).toHaveLength(8);
  for (const stop of TOUR.keys()) {
    const { search } = new URL(stopAddress(stop), 'http://localhost');
    expect(stopOf(search)).toBe(stop);
  }
});

it('is no stop where the address says none, or one that is not there', () => {
  for (const search of ['', '?note=68', '?tour=', '?tour=0', '?tour=9', '?tour=2.5', '?tour=two'])
    expect(stopOf(search)).toBeNull();
});
