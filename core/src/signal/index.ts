// Signal processing with no idea of music: windows, transforms, filters, resampling, seeded noise.
// Anything that knows about pitch, notes or takes belongs in hearing/ or above.
export { CoreError, REASONS, whyOf, type CoreErrorCode, type Reason, type Why } from './coreError.ts';
export { hannInto } from './hann.ts';
export { createKaiserLowpass } from './kaiserLowpass.ts';
export { createResampler } from './resampler.ts';
export { createHalfBandDecimator } from './halver.ts';
export { createBandFilter, type BandFilter } from './bandFilter.ts';
export { SampleRing } from './sampleRing.ts';
export { createRandom, type Random } from './random.ts';
export { dbFromPower, amplitudeFromDb, powerFromDb } from './decibel.ts';
export { concat } from './concat.ts';
export { fromSteps, inSteps, roundToSteps } from './sampleSteps.ts';
