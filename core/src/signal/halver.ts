import { createKaiserLowpass } from './kaiserLowpass.ts';
import type { SampleRing } from './sampleRing.ts';

const STOP_BAND_DB = 70;
const BETA = 7;
/** Input samples taken at a time, and room for them beside what the filter still needs. */
const BLOCK = 256;
const ROOM = 1024;

/**
 * Halves the rate of a stream without delay: sample n of `out` stands at the time of sample 2 n of `source`. Flat, and
 * free of aliases by 70 dB, up to `flatTo` of the lower rate (under 0.5: the nearer, the more work). Every second tap
 * of a half-band filter is zero, and the rest come in pairs (Mintzer 1982). Returns a function that appends what newly
 * arrived samples have completed, four at a time.
 */
export function createHalfBandDecimator(source: SampleRing, out: SampleRing, flatTo: number): () => void {
  // Kaiser: transition in turns a sample = (A - 8) / (2.285 * 2 pi * taps).
  const halfTaps = (STOP_BAND_DB - 8) / (2.285 * 2 * Math.PI * (0.5 - flatTo)) / 2;
  const pairs = Math.ceil(halfTaps / 2);
  const response = createKaiserLowpass(0.25, 2 * pairs, BETA);
  const taps = Float64Array.from({ length: pairs }, (_, i) => response(2 * i + 1));
  const sum = response(0) + 2 * taps.reduce((total, tap) => total + tap, 0);
  for (let i = 0; i < pairs; i++) taps[i] /= sum;
  const middle = response(0) / sum;
  // The stream parted in even and odd samples, from before its beginning: zeros.
  const even = new Float64Array(ROOM);
  const odd = new Float64Array(ROOM);
  const done = new Float32Array(ROOM);
  let evenCount = pairs;
  let oddCount = pairs;
  let next = pairs;
  let taken = 0;

  function makeRoom() {
    const gone = next - pairs;
    even.copyWithin(0, gone, evenCount);
    odd.copyWithin(0, gone, oddCount);
    evenCount -= gone;
    oddCount -= gone;
    next = pairs;
  }

  function filter(): number {
    const begun = next;
    const last = oddCount - pairs;
    // Four outputs together read every tap and most samples once instead of four times; the rest waits for more.
    for (; next + 3 <= last; next += 4) {
      let a = 0;
      let b = 0;
      let c = 0;
      let d = 0;
      // The four slide along together: each step reads one new sample on either side.
      let left1 = odd[next];
      let left2 = odd[next + 1];
      let left3 = odd[next + 2];
      let right0 = odd[next];
      let right1 = left2;
      let right2 = left3;
      for (let i = 0; i < pairs; i++) {
        const tap = taps[i];
        const left0 = odd[next - 1 - i];
        const right3 = odd[next + 3 + i];
        a += tap * (left0 + right0);
        b += tap * (left1 + right1);
        c += tap * (left2 + right2);
        d += tap * (left3 + right3);
        left3 = left2;
        left2 = left1;
        left1 = left0;
        right0 = right1;
        right1 = right2;
        right2 = right3;
      }
      const to = next - begun;
      done[to] = middle * even[next] + a;
      done[to + 1] = middle * even[next + 1] + b;
      done[to + 2] = middle * even[next + 2] + c;
      done[to + 3] = middle * even[next + 3] + d;
    }
    return next - begun;
  }

  return () => {
    const { data } = source;
    while (taken < source.end) {
      const length = Math.min(BLOCK, source.end - taken);
      const offset = source.offsetOf(taken);
      if (evenCount + BLOCK > ROOM) makeRoom();
      let n = 0;
      if ((taken & 1) === 1) odd[oddCount++] = data[offset + n++];
      for (; n + 1 < length; n += 2) {
        even[evenCount++] = data[offset + n];
        odd[oddCount++] = data[offset + n + 1];
      }
      if (n < length) even[evenCount++] = data[offset + n];
      taken += length;
      out.appendFrom(done, 0, filter());
    }
  };
}
