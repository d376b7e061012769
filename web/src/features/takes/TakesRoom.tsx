import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { listTakes, readSettings, undoDelete } from '../../storage/index.ts';
import { useLocation } from 'react-router';
import { TakesView } from './TakesView.tsx';

/** All kept takes, newest first. */
export function Component() {
  const takes = useLiveQuery(listTakes);
  const settings = useLiveQuery(readSettings);
  const { state } = useLocation() as { state: { deletedId?: string } | null };
  const [deletedId, setDeletedId] = useState(state?.deletedId ?? null);
  if (!takes || !settings) return null;
  return (
    <TakesView
      takes={takes}
      naming={settings.naming}
      deletedId={deletedId}
      onUndo={(id) => {
        void undoDelete(id);
        setDeletedId(null);
      }}
    />
  );
}
