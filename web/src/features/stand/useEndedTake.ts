import { useLiveQuery } from 'dexie-react-hooks';
import { useSession } from '../../session/index.ts';
import { readTake, type TakeRecord } from '../../storage/index.ts';

/** The take just ended: from the database, or as it was handed over where it could not be stored. */
export function useEndedTake(takeId: string | null): { take: TakeRecord; isStored: boolean } | null {
  const { unsaved } = useSession();
  const found = useLiveQuery(async () => {
    const stored = takeId === null ? null : await readTake(takeId);
    if (stored?.state === 'kept') return { take: stored, isStored: true };
    const loose = unsaved.find(({ record }) => record.id === takeId)?.record;
    return loose ? { take: loose, isStored: false } : null;
  }, [takeId, unsaved]);
  // While the next one is being read the query still holds the last.
  return found && found.take.id === takeId ? found : null;
}
