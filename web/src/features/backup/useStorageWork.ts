import { useEffect, useRef, useState } from 'react';
import { storageWorker } from '../../workers/index.ts';

export interface Busy {
  what: 'archive' | 'back' | 'copy';
  done: number;
  of: number;
}

/** Long work of the storage worker: how far it is, and the way to stop it. It goes on when the room is left. */
export function useStorageWork() {
  const [busy, setBusy] = useState<Busy | null>(null);
  const left = useRef(false);
  useEffect(() => {
    left.current = false;
    return () => {
      left.current = true;
    };
  }, []);
  async function run<Answer>(
    what: Busy['what'],
    work: (onProgress: (done: number, of: number) => void) => Promise<Answer>,
  ): Promise<Answer> {
    setBusy({ what, done: 0, of: 0 });
    // News of the way comes by a port of its own, and may come after the end.
    let isOver = false;
    try {
      return await work((done, of) => {
        if (!left.current && !isOver) setBusy({ what, done, of });
      });
    } finally {
      isOver = true;
      if (!left.current) setBusy(null);
    }
  }
  return { busy, run, stop: () => void storageWorker()?.stop() };
}
