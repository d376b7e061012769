import { useLiveQuery } from 'dexie-react-hooks';
import { lazy, Suspense, useState } from 'react';
import { useLocation } from 'react-router';
import { readSettings } from '../storage/index.ts';
import { usePrintedKey } from '../ui/index.ts';
import { loadMessages } from '../words/index.ts';

const KeyRows = lazy(async () => {
  const [rows] = await Promise.all([import('./KeyRows.tsx'), loadMessages('app')]);
  return rows;
});

/** What the keys of this room do: opened and closed by one of them, where single keys are on. */
export function KeysPanel() {
  const { pathname } = useLocation();
  const settings = useLiveQuery(readSettings);
  const [openIn, setOpenIn] = useState<string | null>(null);
  const isOpen = openIn === pathname;
  usePrintedKey('?', () => setOpenIn(isOpen ? null : pathname), settings?.singleKeys ?? false);
  if (!isOpen || !settings) return null;
  return (
    <Suspense fallback={null}>
      <KeyRows pathname={pathname} settings={settings} onClose={() => setOpenIn(null)} />
    </Suspense>
  );
}
