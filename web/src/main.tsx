import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
import '@fontsource-variable/literata/wght-italic.css';
import '@fontsource/young-serif/400.css';
import i18next from 'i18next';
import { createRoot } from 'react-dom/client';
import { App } from './app/App.tsx';
import { startI18n } from './app/i18n.ts';
import { databaseName, isDemo } from './app/mode.ts';
import { store } from './app/store.ts';
import { createStandController } from './features/stand/standController.ts';
import { troubleCame } from './features/stand/standSlice.ts';
import { openDatabase, purgeDeleted, unfinishedTakes } from './storage/index.ts';
import { startSessionWorker } from './workers/index.ts';

openDatabase(databaseName);
const client = startSessionWorker(databaseName);
client.onFailure(() => store.dispatch(troubleCame('workerFailed')));

/** Finishes takes whose page went away while they were played, and clears what was deleted long ago. */
async function tidyUp() {
  for (const { id } of await unfinishedTakes())
    // One take that cannot be read must not keep the others from coming back.
    await client.remote.recover(id).catch(() => store.dispatch(troubleCame('storageRefused')));
  await purgeDeleted(Date.now());
  await navigator.storage?.persist?.();
}

const root = document.getElementById('root');
if (!root) throw new Error('The page has no root.');
await startI18n();
// Canvas text needs its faces before the first drawing; the page itself would wait for nothing.
void document.fonts.load('italic 700 30px "Literata Variable"');
root.textContent = isDemo ? i18next.t('app.preparingDemo') : '';
if (isDemo) await (await import('./features/demo/seedDemo.ts')).seedDemo(client);
createRoot(root).render(<App stand={createStandController(client, store.dispatch)} />);
void tidyUp().catch(() => store.dispatch(troubleCame('storageRefused')));
