import FFT from 'fft.js';

/** A sound through an impulse response, as long as the sound was: both of one rate, the response from time zero on. */
export function convolve(
  samples: Float32Array,
  response: Float32Array | Float64Array,
): Float32Array<ArrayBuffer> {
  const size = 2 ** Math.ceil(Math.log2(Math.max(2, samples.length + response.length)));
  const fft = new FFT(size);
  const spectrumOf = (values: ArrayLike<number>) => {
    const padded = new Float64Array(size);
    padded.set(values);
    const spectrum = fft.createComplexArray();
    fft.realTransform(spectrum, padded);
    fft.completeSpectrum(spectrum);
    return spectrum;
  };
  const [a, b] = [spectrumOf(samples), spectrumOf(response)];
  for (let k = 0; k < 2 * size; k += 2)
    [a[k], a[k + 1]] = [a[k] * b[k] - a[k + 1] * b[k + 1], a[k] * b[k + 1] + a[k + 1] * b[k]];
  const sound = fft.createComplexArray();
  fft.inverseTransform(sound, a);
  return Float32Array.from(samples, (_, n) => sound[2 * n]);
}
