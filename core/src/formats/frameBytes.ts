import { FrameTrack, type FrameColumns } from '../hearing/index.ts';
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

/** Frames value for value: how many, then column after column as 32-bit floats, low byte first; NaN is no answer. */
export function framesToBytes(columns: FrameColumns): Uint8Array<ArrayBuffer> {
  const values = COLUMNS.reduce((sum, name) => sum + columns[name].length, 0);
  const view = new DataView(new ArrayBuffer(HEAD_BYTES + 4 * values));
  view.setUint32(0, columns.f0Hz.length, true);
  let at = HEAD_BYTES;
  for (const name of COLUMNS)
    for (const value of columns[name]) {
      view.setFloat32(at, value, true);
      at += 4;
    }
  return new Uint8Array(view.buffer);
}

/** What a column may hold besides NaN: a pitch that a horn or a squeak can have, a level that a recording can have. */
const BOUNDS: Partial<Record<(typeof COLUMNS)[number], readonly [number, number]>> = {
  f0Hz: [0, 6000],
  unaidedHz: [0, 6000],
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
  const columns = new FrameTrack(count).slice(0, count);
  const values = COLUMNS.reduce((sum, name) => sum + columns[name].length, 0);
  if (bytes.length !== HEAD_BYTES + 4 * values)
    throw new CoreError('packed-rows', `${bytes.length} bytes are not ${count} frames.`);
  let at = HEAD_BYTES;
  for (const name of COLUMNS) {
    const [least, most] = BOUNDS[name] ?? WIDEST;
    for (let i = 0; i < columns[name].length; i++) {
      const value = view.getFloat32(at, true);
      if (value < least || value > most)
        throw new CoreError('packed-rows', `${name} of frame ${i} is ${value}: no sound has that.`);
      columns[name][i] = value;
      at += 4;
    }
  }
  return columns;
}
