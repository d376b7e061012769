import * as Comlink from 'comlink';
import type { SessionWorker } from './protocol.ts';

export interface SessionClient {
  /** The calls of the worker that runs now. A call that a dying worker leaves open never answers. */
  readonly remote: Comlink.Remote<SessionWorker>;
  /** Called if a worker breaks or cannot start. */
  onFailure(listener: () => void): void;
  /** Ends the worker, whatever it is doing; the next call starts another. Its takes so far are in the database. */
  restart(): void;
}

/** The worker on the database of this origin. It starts at the first call: the first room must not wait for it. */
export function startSessionWorker(databaseName: string): SessionClient {
  let onFailure = () => {};
  const start = () => {
    const worker = new Worker(new URL('./session.worker.ts', import.meta.url), {
      type: 'module',
      name: databaseName,
    });
    const fail = () => worker === running && onFailure();
    worker.addEventListener('error', fail);
    worker.addEventListener('messageerror', fail);
    return worker;
  };
  let running: Worker | null = null;
  let remote: Comlink.Remote<SessionWorker> | null = null;
  return {
    get remote() {
      if (remote) return remote;
      running = start();
      return (remote = Comlink.wrap<SessionWorker>(running));
    },
    onFailure(listener) {
      onFailure = listener;
    },
    restart() {
      running?.terminate();
      running = null;
      remote = null;
    },
  };
}
