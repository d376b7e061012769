export type SampleFilter = (sample: number) => number;

interface Coefficients {
  b0: number;
  b1: number;
  b2: number;
  a1: number;
  a2: number;
}

/** Second-order sections after R. Bristow-Johnson's audio cookbook (bilinear transform, 1998). */
function section(kind: 'low' | 'high', cornerHz: number, q: number, sampleRateHz: number): Coefficients {
  const w = (2 * Math.PI * cornerHz) / sampleRateHz;
  const cos = Math.cos(w);
  const alpha = Math.sin(w) / (2 * q);
  const a0 = 1 + alpha;
  const edge = kind === 'low' ? 1 - cos : 1 + cos;
  const b1 = kind === 'low' ? edge : -edge;
  return { b0: edge / 2 / a0, b1: b1 / a0, b2: edge / 2 / a0, a1: (-2 * cos) / a0, a2: (1 - alpha) / a0 };
}

function run({ b0, b1, b2, a1, a2 }: Coefficients): SampleFilter {
  // In an array, because the engine would box numbers that a closure keeps: garbage at every sample.
  const state = new Float64Array(2);
  return (x) => {
    const y = b0 * x + state[0];
    state[0] = b1 * x - a1 * y + state[1];
    state[1] = b2 * x - a2 * y;
    return y;
  };
}

/**
 * Fourth-order Butterworth high-pass at `lowHz` and second-order low-pass at `highHz`, per sample.
 * The low-pass is left out where `highHz` is above 0.45 of the rate: nothing is there to remove.
 */
export function createBandFilter(lowHz: number, highHz: number, sampleRateHz: number): SampleFilter {
  const first = run(section('high', lowHz, 0.5412, sampleRateHz));
  const second = run(section('high', lowHz, 1.3066, sampleRateHz));
  if (highHz > 0.45 * sampleRateHz) return (x) => second(first(x));
  const third = run(section('low', highHz, Math.SQRT1_2, sampleRateHz));
  return (x) => third(second(first(x)));
}
