import FFT from 'fft.js';

/**
 * What changes sounds by an impulse response of their rate, from time zero on; each comes out as long as it was.
 * Block by block, each block's echoes added to what comes after it.
 */
export function convolver(
  response: Float32Array | Float64Array,
): (samples: Float32Array) => Float32Array<ArrayBuffer> {
  const size = 2 ** Math.ceil(Math.log2(4 * response.length));
  const step = size - response.length + 1;
  const fft = new FFT(size);
  const spectrumOf = (values: ArrayLike<number>) => {
    const padded = new Float64Array(size);
    padded.set(values);
    const spectrum = fft.createComplexArray();
    fft.realTransform(spectrum, padded);
    fft.completeSpectrum(spectrum);
    return spectrum;
  };
  const transfer = spectrumOf(response);
  const sound = fft.createComplexArray();
  return (samples) => {
    const out = new Float32Array(samples.length);
    for (let start = 0; start < samples.length; start += step) {
      const product = spectrumOf(samples.subarray(start, start + step));
      for (let k = 0; k < 2 * size; k += 2) {
        const [re, im] = [product[k], product[k + 1]];
        product[k] = re * transfer[k] - im * transfer[k + 1];
        product[k + 1] = re * transfer[k + 1] + im * transfer[k];
      }
      fft.inverseTransform(sound, product);
      const count = Math.min(size, samples.length - start);
      for (let n = 0; n < count; n++) out[start + n] += sound[2 * n];
    }
    return out;
  };
}
