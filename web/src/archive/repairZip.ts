const LOCAL = 0x04034b50;
const CENTRAL = 0x02014b50;
const END = 0x06054b50;
const LOCAL_BYTES = 30;
const CENTRAL_BYTES = 46;
const END_BYTES = 22;
/** Names of ours are shorter. */
const MOST_NAME_BYTES = 400;

/**
 * A ZIP that was cut short has lost the list of its parts at the end. This walks from part to part, as far as they are whole, and
 * gives the file a list again. Null where not even the first part is there. (ZIP file format, PKWARE APPNOTE 6.3, 4.3.7-4.3.16.)
 */
export async function repairZip(file: Blob): Promise<Blob | null> {
  const list: Uint8Array<ArrayBuffer>[] = [];
  let at = 0;
  while (at + LOCAL_BYTES <= file.size) {
    const head = new Uint8Array(await file.slice(at, at + LOCAL_BYTES).arrayBuffer());
    const view = new DataView(head.buffer);
    if (view.getUint32(0, true) !== LOCAL) break;
    const [packed, nameBytes, extraBytes] = [
      view.getUint32(18, true),
      view.getUint16(26, true),
      view.getUint16(28, true),
    ];
    const hasNoSizes = (view.getUint16(6, true) & 8) !== 0;
    const end = at + LOCAL_BYTES + nameBytes + extraBytes + packed;
    if (hasNoSizes || packed === 0xffffffff || nameBytes > MOST_NAME_BYTES || end > file.size) break;
    const name = new Uint8Array(
      await file.slice(at + LOCAL_BYTES, at + LOCAL_BYTES + nameBytes).arrayBuffer(),
    );
    list.push(centralEntry(head, name, at));
    at = end;
  }
  if (list.length === 0) return null;
  const listBytes = list.reduce((sum, { length }) => sum + length, 0);
  // Longer files would need another kind of list.
  if (at >= 0xffffffff || list.length >= 0xffff) return null;
  return new Blob([file.slice(0, at), ...list, endOfList(list.length, listBytes, at)]);
}

/** What the list says of a part: what stands before the part itself, and where that is. */
function centralEntry(local: Uint8Array, name: Uint8Array, at: number): Uint8Array<ArrayBuffer> {
  const entry = new Uint8Array(CENTRAL_BYTES + name.length);
  const view = new DataView(entry.buffer);
  view.setUint32(0, CENTRAL, true);
  view.setUint16(4, 20, true);
  // From the version that is needed up to the length of the name both have the same fields in the same order.
  entry.set(local.subarray(4, 28), 6);
  view.setUint32(42, at, true);
  entry.set(name, CENTRAL_BYTES);
  return entry;
}

function endOfList(count: number, bytes: number, at: number): Uint8Array<ArrayBuffer> {
  const end = new Uint8Array(END_BYTES);
  const view = new DataView(end.buffer);
  view.setUint32(0, END, true);
  view.setUint16(8, count, true);
  view.setUint16(10, count, true);
  view.setUint32(12, bytes, true);
  view.setUint32(16, at, true);
  return end;
}
