import { FrameTrack, MAX_PARTIAL, type FrameColumns } from '../hearing/index.ts';
import { CoreError } from '../signal/index.ts';

/** Order of the columns in a file: never changed, only added to. */
const COLUMNS = [
  'f0Hz',
  'clarity',
  'levelDb',
  'centroidHarmonics',
  'noiseToHarmonicDb',
  'airDb',
  'unaidedHz',
  'partialsDb',
] as const satisfies readonly (keyof FrameColumns)[];

/** More than half an hour of frames is no take. */
const MOST_FRAMES = 360_000;
const HEAD_BYTES = 4;
const VALUES_A_FRAME = COLUMNS.length - 1 + MAX_PARTIAL;

/** Frames value for value: how many, then column after column as 32-bit floats, low byte first; NaN is no answer. */
export function framesToBytes(columns: FrameColumns): Uint8Array<ArrayBuffer> {
  const view = new DataView(new ArrayBuffer(HEAD_BYTES + 4 * columns.f0Hz.length * VALUES_A_FRAME));
  view.setUint32(0, columns.f0Hz.length, true);
  let at = HEAD_BYTES;
  for (const name of COLUMNS)
    for (const value of columns[name]) {
      view.setFloat32(at, value, true);
      at += 4;
    }
  return new Uint8Array(view.buffer);
}

/** What a column may hold besides NaN (no answer) and 0: a pitch that a horn or a squeak can have, a level that a recording can have. */
const BOUNDS: Partial<Record<(typeof COLUMNS)[number], readonly [number, number]>> = {
  f0Hz: [20, 6000],
  unaidedHz: [20, 6000],
  levelDb: [-200, 20],
  airDb: [-200, 20],
};
/** Of any other. */
const WIDEST = [-1e6, 1e6] as const;

/** Reads such bytes. Throws `packed-rows` where they are not whole, or no sound has such values. */
export function framesFromBytes(bytes: Uint8Array): FrameColumns {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const count = bytes.length < HEAD_BYTES ? -1 : view.getUint32(0, true);
  if (count < 0 || count > MOST_FRAMES) throw new CoreError('packed-rows', 'These bytes are no frames.');
  // Looked at before there is room for as many as are promised.
  if (bytes.length !== HEAD_BYTES + 4 * count * VALUES_A_FRAME)
    throw new CoreError('packed-rows', `${bytes.length} bytes are not ${count} frames.`);
  const columns = new FrameTrack(count).slice(0, count);
  let at = HEAD_BYTES;
  for (const name of COLUMNS) {
    const [least, most] = BOUNDS[name] ?? WIDEST;
    for (let i = 0; i < columns[name].length; i++) {
      const value = view.getFloat32(at, true);
      const isNone = Number.isNaN(value) && name !== 'levelDb';
      if (!isNone && value !== 0 && !(value >= least && value <= most))
        throw new CoreError('packed-rows', `${name} of frame ${i} is ${value}: no sound has that.`);
      columns[name][i] = value;
      at += 4;
    }
  }
  return columns;
}
