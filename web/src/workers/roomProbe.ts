const PROBE = 'inner-hum-room';

/** A file as workers may hold it; the compiler knows it of pages only. */
interface SyncFile {
  createSyncAccessHandle(): Promise<{ truncate(bytes: number): void; getSize(): number; close(): void }>;
}

/**
 * Whether the browser would let the app store so many bytes more; null where that cannot be found out. What browsers say of
 * themselves (`storage.estimate`) is no longer true everywhere: a file is made as long as that, which writes nothing, and taken
 * away again. For workers alone.
 */
export async function hasRoomFor(bytes: number): Promise<boolean | null> {
  try {
    const folder = await navigator.storage.getDirectory();
    const file = (await folder.getFileHandle(PROBE, { create: true })) as unknown as SyncFile;
    const handle = await file.createSyncAccessHandle();
    try {
      handle.truncate(bytes);
      // Some browsers throw where there is no room, others leave the file as it was.
      return handle.getSize() === bytes;
    } catch {
      return false;
    } finally {
      handle.truncate(0);
      handle.close();
      await folder.removeEntry(PROBE);
    }
  } catch {
    return null;
  }
}
