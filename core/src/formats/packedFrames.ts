import { FrameTrack, type FrameColumns } from '../hearing/index.ts';
import { CoreError } from '../signal/index.ts';

/** The columns that are packed, each with the steps its unit is cut into: no ribbon shows less. */
const COLUMNS = [
  // Quarter cents over 50 Hz.
  { pack: ({ f0Hz }, i) => 4800 * Math.log2(f0Hz[i] / 50), unpack: (value) => 50 * 2 ** (value / 4800) },
  { pack: ({ clarity }, i) => 200 * clarity[i], unpack: (value) => value / 200 },
  { pack: ({ levelDb }, i) => 10 * levelDb[i], unpack: (value) => value / 10 },
  { pack: ({ centroidHarmonics }, i) => 50 * centroidHarmonics[i], unpack: (value) => value / 50 },
  { pack: ({ noiseToHarmonicDb }, i) => 4 * noiseToHarmonicDb[i], unpack: (value) => value / 4 },
  { pack: ({ airDb }, i) => 4 * airDb[i], unpack: (value) => value / 4 },
] as const satisfies readonly {
  pack: (columns: FrameColumns, frame: number) => number;
  unpack: (value: number) => number;
}[];

/** Stands for no answer. */
const ABSENT = -32768;
const BYTES_A_FRAME = 2 * COLUMNS.length;

/**
 * Frames in little room, made to be compressed: every column as differences, low bytes and high bytes apart. The harmonics and what was
 * heard unaided are left out. 12 bytes a frame.
 */
export function packFrames(columns: FrameColumns): Uint8Array<ArrayBuffer> {
  const count = columns.f0Hz.length;
  const bytes = new Uint8Array(BYTES_A_FRAME * count);
  COLUMNS.forEach(({ pack }, c) => {
    let before = 0;
    for (let i = 0; i < count; i++) {
      const exact = pack(columns, i);
      const value = Number.isNaN(exact) ? ABSENT : Math.max(-32767, Math.min(32767, Math.round(exact)));
      const step = (value - before) & 0xffff;
      bytes[2 * c * count + i] = step & 0xff;
      bytes[(2 * c + 1) * count + i] = step >> 8;
      before = value;
    }
  });
  return bytes;
}

/** Reads packed frames. Throws `packed-rows` where they are not whole. */
export function unpackFrames(bytes: Uint8Array): FrameColumns {
  if (bytes.length % BYTES_A_FRAME !== 0)
    throw new CoreError('packed-rows', `${bytes.length} bytes are not frames of ${BYTES_A_FRAME}.`);
  const count = bytes.length / BYTES_A_FRAME;
  const read = COLUMNS.map(({ unpack }, c) => {
    const values = new Float64Array(count);
    let value = 0;
    for (let i = 0; i < count; i++) {
      const step = bytes[2 * c * count + i] + 256 * bytes[(2 * c + 1) * count + i];
      value = ((value + step) << 16) >> 16;
      values[i] = value === ABSENT ? NaN : unpack(value);
    }
    return values;
  });
  const [f0Hz, clarity, levelDb, centroidHarmonics, noiseToHarmonicDb, airDb] = read;
  const track = new FrameTrack(count);
  for (let i = 0; i < count; i++)
    track.append(f0Hz[i], clarity[i], levelDb[i], centroidHarmonics[i], noiseToHarmonicDb[i], airDb[i]);
  return track.slice(0);
}
