import type { Dispatch } from '@reduxjs/toolkit';
import { changeSettings, dayOf, readFolder, readSettings } from '../storage/index.ts';
import { storageWorker, proxied } from '../workers/index.ts';
import { problemRaised, problemsCleared, type VisitPhase } from '../session/index.ts';

/** Nothing is put in order before the player has had time to begin again. */
const QUIET_MS = 4000;
/** Less room than for half an hour of sound is told while there is still time. */
export const LOW_BYTES = 250_000_000;

interface StorageMaintenanceConfig {
  dispatch: Dispatch;
  phase(): VisitPhase;
}

export interface StorageMaintenance {
  /** Something was kept, or the page was opened: what is stored is put in order when nothing sounds. */
  wake(): void;
}

/** Puts in order what is stored, in quiet moments: packs sound, looks at rows once a day, copies into the player's folder, watches the room that is left. */
export function createStorageMaintenance({ dispatch, phase }: StorageMaintenanceConfig): StorageMaintenance {
  let timer: ReturnType<typeof setTimeout> | undefined;
  let running = false;

  async function putInOrder() {
    const room = storageWorker();
    if (!room) return;
    await room.packSounds();
    const today = dayOf(Date.now());
    if ((await readSettings()).rowsCheckedDay !== today) {
      await room.checkRows();
      await changeSettings({ rowsCheckedDay: today });
      await copyIfAllowed();
    }
    await tellRoomLeft(dispatch);
  }

  function wake() {
    clearTimeout(timer);
    timer = setTimeout(() => {
      const isBusy = ['counting', 'playing', 'judging', 'opening'].includes(phase());
      if (isBusy || running) {
        wake();
        return;
      }
      running = true;
      void putInOrder()
        // A disk that is full is told by what is being recorded; everything here can wait.
        .catch(() => undefined)
        .finally(() => (running = false));
    }, QUIET_MS);
  }
  return { wake };
}

/** Copies into the player's folder where the browser still allows it without asking. */
async function copyIfAllowed(): Promise<void> {
  const folder = await readFolder();
  const state = await folder?.handle.queryPermission?.({ mode: 'readwrite' });
  if (state === 'granted') await storageWorker()?.copyToFolder(proxied(() => undefined));
}

/** Tells, or tells no longer, that room is running out. */
export async function tellRoomLeft(dispatch: Dispatch): Promise<void> {
  const isLow = (await storageWorker()?.hasRoomFor(LOW_BYTES)) === false;
  dispatch(isLow ? problemRaised('storageLow') : problemsCleared(['storageLow']));
}
