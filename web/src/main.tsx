import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
import '@fontsource-variable/literata/wght-italic.css';
import '@fontsource/young-serif/400.css';
import i18next from 'i18next';
import { createRoot } from 'react-dom/client';
import { App } from './app/App.tsx';
import { keepAppOffline } from './app/appUpdate.ts';
import { databaseName, isDemo } from './app/mode.ts';
import { painted, showOpening } from './app/opening.ts';
import { store } from './app/store.ts';
import { purgeBooks } from './books/bookChanges.ts';
import { createStorageMaintenance, isClockSetBack, tellWhatIsNotStored } from './housekeeping/index.ts';
import { createSessionDoor, outdated, problemRaised } from './session/index.ts';
import {
  loadTakeKeys,
  openStorage,
  purgeDeleted,
  purgeOwnExercises,
  readSettings,
  unfinishedTakes,
} from './storage/index.ts';
import { awaitInstallOffer } from './ui/index.ts';
import { openStorageWorker, startSessionWorker } from './workers/index.ts';
import { nameNotesInTexts } from './notation/index.ts';
import { startWords } from './words/index.ts';

const QUIET_MS = 3000;

const root = document.getElementById('root');
if (!root) throw new Error('The page has no root.');
awaitInstallOffer();
tellWhatIsNotStored(window, () => store.dispatch(problemRaised('notStored')));
const storageKind = await openStorage(databaseName, () => store.dispatch(outdated())).catch(async () => {
  await startWords('device');
  // Whatever the reason, a blank page would look as if everything were gone. There is nothing to go on with.
  root.textContent = i18next.t('app.notOpened');
  return await new Promise<never>(() => undefined);
});
const { language, naming } = await readSettings();
showOpening(0.3);
await startWords(language);
nameNotesInTexts(naming);
showOpening(0.4);
if (storageKind === 'memory') store.dispatch(problemRaised('storageRefused'));
openStorageWorker(storageKind === 'memory' ? null : databaseName);
const storageMaintenance = createStorageMaintenance({
  dispatch: store.dispatch,
  phase: () => store.getState().session.phase,
});
const client = startSessionWorker(databaseName);

/** Finishes takes whose page or worker went away while they were played. */
async function finishTakes() {
  for (const { id } of await unfinishedTakes())
    // One take that cannot be read must not keep the others from coming back.
    await client.remote.recover(id).catch(() => store.dispatch(problemRaised('storageRefused')));
}

async function tidyUp() {
  await finishTakes();
  if (await isClockSetBack(Date.now())) store.dispatch(problemRaised('clockBack'));
  await purgeDeleted(Date.now());
  await purgeOwnExercises(Date.now());
  await purgeBooks(Date.now());
  await navigator.storage?.persist?.();
  storageMaintenance.wake();
  // Long after the first room stands, and before anyone has written a note.
  await new Promise((resolve) => setTimeout(resolve, QUIET_MS));
  await loadTakeKeys();
}

// Canvas text needs its faces before the first drawing; the page itself would wait for nothing.
void document.fonts.load('italic 700 30px "Literata Variable"');
if (isDemo) {
  const { loadDemo } = await import('./features/demo/loadDemo.ts');
  await loadDemo(async (share) => {
    showOpening(0.4 + 0.55 * share, i18next.t('app.preparingDemo'));
    await painted();
  });
}
const door = createSessionDoor(async () =>
  (await import('./app/openSession.ts')).openSession({
    client,
    keepsTakes: storageKind !== 'memory',
    finishTakes,
  }),
);
let lastTakeId: string | null = null;
store.subscribe(() => {
  const { takeId, keptTakeId } = store.getState().session;
  const newest = takeId ?? keptTakeId;
  if (newest !== lastTakeId) storageMaintenance.wake();
  lastTakeId = newest;
});
keepAppOffline();
createRoot(root, {
  // What React got over by drawing once more is still a fault, and its cause says which.
  onRecoverableError: (error) => reportError((error instanceof Error && error.cause) || error),
}).render(<App door={door} />);
void tidyUp().catch(() => store.dispatch(problemRaised('storageRefused')));
