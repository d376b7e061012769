import { createDesk } from '../audio/index.ts';
import { createSessionController, type SessionController } from '../session/index.ts';
import { readSettings, storeRound, storeTake } from '../storage/index.ts';
import type { SessionClient } from '../workers/index.ts';
import { store } from './store.ts';

interface OpenSessionConfig {
  client: SessionClient;
  /** Whether takes are stored at all. */
  keepsTakes: boolean;
  /** Finishes takes whose page or worker went away while they were played. */
  finishTakes(): Promise<void>;
}

/** The one visit of this page. */
export function openSession({ client, keepsTakes, finishTakes }: OpenSessionConfig): SessionController {
  const session = createSessionController({
    client,
    createDesk: (onTrouble) =>
      createDesk(onTrouble, async () => (await readSettings()).microphone?.id ?? null),
    dispatch: store.dispatch,
    finishTakes,
    storeRound,
    async onUnsaved(take) {
      // Where nothing can be kept, the take is at least there until the page is closed.
      if (!keepsTakes) await storeTake(take);
    },
  });
  window.addEventListener('beforeunload', (event) => {
    if (session.unsaved.length > 0) event.preventDefault();
  });
  return session;
}
