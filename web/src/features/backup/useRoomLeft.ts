import { useEffect, useState } from 'react';
import { LOW_BYTES } from '../../housekeeping/index.ts';
import { storageWorker } from '../../workers/index.ts';

export interface RoomLeft {
  usedBytes: number;
  /** Whether there is room for `LOW_BYTES` more; null where that cannot be found out. */
  isRoomy: boolean | null;
  /** Whether the browser has promised not to clear it by itself; null where it cannot promise. */
  persisted: boolean | null;
}

/** How much is stored, whether there is room for more, and whether it stays; read again when `again` changes. */
export function useRoomLeft(again: unknown): [RoomLeft | null, () => Promise<void>] {
  const [room, setRoom] = useState<RoomLeft | null>(null);
  async function read() {
    const { usage = 0 } = (await navigator.storage?.estimate?.()) ?? {};
    setRoom({
      usedBytes: usage,
      isRoomy: (await storageWorker()?.hasRoomFor(LOW_BYTES)) ?? null,
      persisted: (await navigator.storage?.persisted?.()) ?? null,
    });
  }
  useEffect(() => void read(), [again]);
  return [
    room,
    async () => {
      await navigator.storage?.persist?.();
      await read();
    },
  ];
}
