import type { FileEntry } from './zip.ts';
import { MOST_BYTES } from './archiveFormat.ts';

/** Nothing of ours packs better than this: whatever does is made to fill the memory. Silence does, but is seldom long. */
const MOST_RATIO = 2000;
const SMALL_BYTES = 1_000_000;

/** The bytes of a part, checked by its sum. Throws with a sentence where it is damaged, or larger than it may be. */
export async function readPart({
  name,
  entry,
}: {
  name: string;
  entry: FileEntry;
}): Promise<Uint8Array<ArrayBuffer>> {
  const most = MOST_BYTES[name.slice(name.lastIndexOf('.') + 1)] ?? 0;
  const { uncompressedSize: size, compressedSize: packed } = entry;
  if (entry.encrypted) throw new Error('it is locked by a password');
  if (size > most) throw new Error(`it has ${size} bytes; at most ${most} are read`);
  if (size > SMALL_BYTES && size > MOST_RATIO * packed)
    throw new Error(`it is packed ${Math.round(size / packed)} to 1, as no part of ours is`);
  const bytes = new Uint8Array(size);
  let at = 0;
  await entry.getData(
    new WritableStream<Uint8Array>({
      write(block) {
        // What a header says of its size need not be true.
        if (at + block.length > size) throw new Error('it is larger than it says');
        bytes.set(block, at);
        at += block.length;
      },
    }),
    { checkSignature: true },
  );
  if (at !== size) throw new Error('it is smaller than it says');
  return bytes;
}
