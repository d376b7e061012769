import { expect, it } from 'vitest';
import { writtenMidi } from '../horn/index.ts';
import type { ToneKind } from '../judge/index.ts';
import { failsEverywhere, type SubtoneTry } from './subtoneTries.ts';

const tries = (told: readonly [midi: number, kind: ToneKind][]): SubtoneTry[] =>
  told.map(([midi, kind], at) => ({
    writtenMidi: writtenMidi(midi),
    depth: { airierDb: 10, softerDb: 10, centroidShare: 0.6, kind },
    responseMs: null,
    vibratoHz: null,
    at,
  }));

it('asks about reed and pads only where no note of several became a subtone lately', () => {
  const everywhere: [number, ToneKind][] = [58, 60, 62, 65, 62, 60].map((midi) => [midi, 'weak']);
  expect(failsEverywhere(tries(everywhere))).toBe(true);
  expect(failsEverywhere(tries([...everywhere, [58, 'subtone']]))).toBe(false);
  // Long ago it went well: what counts is lately.
  const before: [number, ToneKind][] = Array.from({ length: 8 }, () => [65, 'subtone']);
  expect(failsEverywhere(tries([...before, ...everywhere]))).toBe(false);
  expect(failsEverywhere(tries([...before, ...everywhere, ...everywhere]))).toBe(true);
  // One stubborn note, or too few tries, tell nothing of the horn.
  expect(failsEverywhere(tries(Array.from({ length: 9 }, () => [58, 'full'])))).toBe(false);
  expect(failsEverywhere(tries(everywhere.slice(0, 4)))).toBe(false);
});
