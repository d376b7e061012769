import { useLiveQuery } from 'dexie-react-hooks';
import { useLocation } from 'react-router';
import { listTakes, readSettings, readTake, undoDelete } from '../../storage/index.ts';
import { TakesView } from './TakesView.tsx';

/** All kept takes, newest first; the one just deleted can come back. */
export function Component() {
  const takes = useLiveQuery(listTakes);
  const settings = useLiveQuery(readSettings);
  const { state } = useLocation() as { state: { deletedId?: string } | null };
  const justDeleted = useLiveQuery(() => readTake(state?.deletedId ?? ''), [state?.deletedId]);
  if (!takes || !settings) return null;
  return (
    <TakesView
      takes={takes}
      naming={settings.naming}
      deletedId={justDeleted && justDeleted.deletedAt !== null ? justDeleted.id : null}
      onUndo={(id) => void undoDelete(id)}
    />
  );
}
