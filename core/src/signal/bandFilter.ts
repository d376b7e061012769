/** Filters samples `from` up to `to` of `input` into `output` from its start; both may be one array. */
export type BandFilter = (input: Float32Array, from: number, to: number, output: Float32Array) => void;

/** b0, b1, b2, a1, a2 of a second-order section. */
type Section = [number, number, number, number, number];

/** Second-order sections after R. Bristow-Johnson's audio cookbook (bilinear transform, 1998). */
function section(kind: 'low' | 'high', cornerHz: number, q: number, sampleRateHz: number): Section {
  const w = (2 * Math.PI * cornerHz) / sampleRateHz;
  const cos = Math.cos(w);
  const alpha = Math.sin(w) / (2 * q);
  const a0 = 1 + alpha;
  const edge = kind === 'low' ? 1 - cos : 1 + cos;
  const b1 = kind === 'low' ? edge : -edge;
  return [edge / 2 / a0, b1 / a0, edge / 2 / a0, (-2 * cos) / a0, (1 - alpha) / a0];
}

/** Under this nothing is left: a state that dies away in silence would else reach numbers so small that the processor takes thirty times as long. */
const NOTHING = 1e-30;

const PASS: Section = [1, 0, 0, 0, 0];

/**
 * Fourth-order Butterworth high-pass at `lowHz` and second-order low-pass at `highHz`; its state runs on from call to
 * call. The low-pass is left out where `highHz` is above 0.45 of the rate: nothing is there to remove.
 */
export function createBandFilter(lowHz: number, highHz: number, sampleRateHz: number): BandFilter {
  const [p0, p1, p2, p3, p4] = section('high', lowHz, 0.5412, sampleRateHz);
  const [q0, q1, q2, q3, q4] = section('high', lowHz, 1.3066, sampleRateHz);
  const [r0, r1, r2, r3, r4] =
    highHz > 0.45 * sampleRateHz ? PASS : section('low', highHz, Math.SQRT1_2, sampleRateHz);
  // In an array, because the engine would box numbers that a closure keeps: garbage at every call.
  const state = new Float64Array(6);
  return (input, from, to, output) => {
    let s0 = state[0];
    let s1 = state[1];
    let s2 = state[2];
    let s3 = state[3];
    let s4 = state[4];
    let s5 = state[5];
    for (let n = from; n < to; n++) {
      const x = input[n];
      const y = p0 * x + s0;
      s0 = p1 * x - p3 * y + s1;
      s1 = p2 * x - p4 * y;
      const z = q0 * y + s2;
      s2 = q1 * y - q3 * z + s3;
      s3 = q2 * y - q4 * z;
      const out = r0 * z + s4;
      s4 = r1 * z - r3 * out + s5;
      s5 = r2 * z - r4 * out;
      output[n - from] = out;
    }
    state[0] = s0;
    state[1] = s1;
    state[2] = s2;
    state[3] = s3;
    state[4] = s4;
    state[5] = s5;
    for (let i = 0; i < state.length; i++) if (Math.abs(state[i]) < NOTHING) state[i] = 0;
  };
}
