import { useState } from 'react';
import { useLiveQuery } from 'dexie-react-hooks';
import { useSelector } from 'react-redux';
import type { SessionStore } from '../../session/index.ts';
import { readSettings, readTake, undoDelete } from '../../storage/index.ts';
import { TakesView } from './TakesView.tsx';
import { useFoundTakes } from './useFoundTakes.ts';
import { useTakeFilter } from './useTakeFilter.ts';

/** Rows that are drawn at a time: each has a ribbon. */
const PAGE = 40;

/** Kept takes, newest first, as the address filters them; the one just deleted can come back. */
export function Component() {
  const settings = useLiveQuery(readSettings);
  const { filter, change, deletedId } = useTakeFilter();
  const [shown, setShown] = useState(PAGE);
  const takes = useFoundTakes(filter, shown);
  const unstored = useSelector((store: SessionStore) => store.session.troubles.includes('storageRefused'));
  const justDeleted = useLiveQuery(() => readTake(deletedId), [deletedId]);
  if (!takes || !settings) return null;
  return (
    <TakesView
      takes={takes}
      naming={settings.naming}
      filter={filter}
      unstored={unstored}
      deletedId={justDeleted && justDeleted.deletedAt !== null ? justDeleted.id : null}
      onUndo={(id) => void undoDelete(id)}
      onFilter={(next) => {
        setShown(PAGE);
        change(next);
      }}
      onMore={() => setShown((rows) => rows + PAGE)}
    />
  );
}
