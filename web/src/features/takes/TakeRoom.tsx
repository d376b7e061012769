import { useLiveQuery } from 'dexie-react-hooks';
import { useParams } from 'react-router';
import { readTake } from '../../storage/index.ts';
import { OneTake } from './OneTake.tsx';
import { TakeMissing } from './TakeMissing.tsx';

/** One take, read closely. Keyed by its id: nothing of another take may linger. */
export function Component() {
  const { takeId = '' } = useParams();
  const take = useLiveQuery(() => readTake(takeId), [takeId]);
  if (take === undefined) return null;
  if (take === null || take.deletedAt !== null || take.state !== 'kept') return <TakeMissing />;
  return <OneTake key={takeId} take={take} />;
}
