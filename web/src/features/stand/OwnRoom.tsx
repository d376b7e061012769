import { problemsOf } from '@inner-hum/core/exercise';
import { useLiveQuery } from 'dexie-react-hooks';
import { Navigate, useParams, useSearchParams } from 'react-router';
import { playersHorn } from '../../addresses/index.ts';
import { useSetup } from '../../session/index.ts';
import { readOwnExercise } from '../../storage/index.ts';
import { OwnPlay } from './OwnPlay.tsx';

/** The Stand with an exercise of the player's own; `?by=standIn`: the simulated player tries it, whoever plays otherwise. */
export function Component() {
  const { exerciseId = '' } = useParams();
  return <OwnOf key={exerciseId} id={exerciseId} />;
}

function OwnOf({ id }: { id: string }) {
  const [search] = useSearchParams();
  const setup = useSetup(search.get('by') === 'standIn' ? 'standIn' : null);
  const own = useLiveQuery(() => readOwnExercise(id), [id]);
  if (!setup || own === undefined) return null;
  // What is not there or not finished is told where it is written.
  const isReady =
    own && !problemsOf(own.exercise, playersHorn(setup.settings)).some(({ isFatal }) => isFatal);
  return isReady ? (
    <OwnPlay setup={setup} exercise={own.exercise} id={id} />
  ) : (
    <Navigate to={`/shelf/own/${id}`} replace />
  );
}
