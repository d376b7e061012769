import fc from 'fast-check';
import { expect } from 'vitest';

// A run of the tests is the same everywhere, so that what fails is the change; SEED=… walks other paths.
fc.configureGlobal({ seed: Number(process.env.SEED ?? 1) });

// Sound is long: the library would take half a minute over a million samples.
expect.addEqualityTesters([
  (a: unknown, b: unknown) => {
    const areFloats =
      (a instanceof Float32Array && b instanceof Float32Array) ||
      (a instanceof Float64Array && b instanceof Float64Array);
    return areFloats ? a.length === b.length && a.every((value, n) => Object.is(value, b[n])) : undefined;
  },
]);
