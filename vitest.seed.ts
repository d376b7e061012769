import fc from 'fast-check';

// A run of the tests is the same everywhere, so that what fails is the change; SEED=… walks other paths.
fc.configureGlobal({ seed: Number(process.env.SEED ?? 1) });
