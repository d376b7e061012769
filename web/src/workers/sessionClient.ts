import * as Comlink from 'comlink';
import type { SessionWorker } from './protocol.ts';

export interface SessionClient {
  remote: Comlink.Remote<SessionWorker>;
  /** Called once if the worker dies or cannot start. */
  onFailure(listener: () => void): void;
}

/** Starts the worker on the database of this origin. */
export function startSessionWorker(databaseName: string): SessionClient {
  const worker = new Worker(new URL('./session.worker.ts', import.meta.url), {
    type: 'module',
    name: databaseName,
  });
  return {
    remote: Comlink.wrap<SessionWorker>(worker),
    onFailure(listener) {
      worker.addEventListener('error', listener, { once: true });
      worker.addEventListener('messageerror', listener, { once: true });
    },
  };
}
