import type { Dispatch } from '@reduxjs/toolkit';
import type { SessionClient } from '../workers/index.ts';
import type { LiveInput } from './liveInput.ts';
import { phaseChanged, troubleCame, troublesWent } from './sessionSlice.ts';

/** A worker that breaks oftener than this will break again. */
const MOST_RESTARTS = 3;
const RESTARTS_WITHIN_SECONDS = 60;
/** What a worker that was replaced still had to say. */
const STILL_OLD_SECONDS = 2;

interface RecoveryConfig {
  client: SessionClient;
  input: LiveInput;
  dispatch: Dispatch;
  /** Finishes takes that a broken worker left unfinished. */
  finishTakes(): Promise<void>;
  /** Whether a room listens: then an input that failed is opened again by itself. */
  isListening(): boolean;
  /** Nothing of the app's own sounds on. */
  hush(): void;
  /** Makes ready again what was ready before, on an input opened anew; a round goes on where it was. */
  listenAgain(): Promise<void>;
}

/** What is done where the microphone or the worker goes away under the player's hands. */
export interface Recovery {
  /** The microphone has gone: what was being played is kept; then whatever there is now listens on. */
  changeMicrophone(): Promise<void>;
  /** The listening has broken: another worker takes over, and finishes what this one was keeping. */
  restart(): Promise<void>;
  /** The worker itself says that it failed. */
  workerFailed(): void;
}

export function createRecovery(config: RecoveryConfig): Recovery {
  const { client, input, dispatch } = config;
  let restarts: number[] = [];

  async function restart() {
    const now = performance.now() / 1000;
    restarts = [...restarts.filter((time) => now - time < RESTARTS_WITHIN_SECONDS), now];
    config.hush();
    input.forget();
    dispatch(phaseChanged('off'));
    if (restarts.length > MOST_RESTARTS) {
      dispatch(troubleCame('workerFailed'));
      return;
    }
    client.restart();
    dispatch(troubleCame('workerRestarted'));
    config.finishTakes().catch(() => dispatch(troubleCame('storageRefused')));
    if (config.isListening()) await config.listenAgain();
  }

  return {
    restart,
    workerFailed() {
      if (performance.now() / 1000 - (restarts.at(-1) ?? -Infinity) > STILL_OLD_SECONDS) void restart();
    },
    async changeMicrophone() {
      input.forget();
      dispatch(phaseChanged('off'));
      await client.remote.endTake();
      if (!config.isListening()) return;
      await config.listenAgain();
      const changed = input.source !== null;
      if (!changed) dispatch(troublesWent(['micAbsent', 'micBusy']));
      dispatch(troubleCame(changed ? 'micChanged' : 'micUnplugged'));
    },
  };
}
