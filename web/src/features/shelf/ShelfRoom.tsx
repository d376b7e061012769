import { newExercise } from '@inner-hum/core/exercise';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { playersHorn, saveExercises } from '../../session/index.ts';
import {
  addOwnExercise,
  lastTakes,
  listOwnExercises,
  readSettings,
  toggleFavourite,
  undoDeleteOwnExercise,
} from '../../storage/index.ts';
import { importExercises, type ImportAnswer } from './importExercises.ts';
import { shelfEntries } from './shelfEntries.ts';
import { readShelfFilter, shelfSearch } from './shelfFilter.ts';
import { ShelfView } from './ShelfView.tsx';
import { useDeleted } from './useDeleted.ts';

/** What is there to practise with: every family, ready for this horn and range, and the player's own. */
export function Component() {
  const navigate = useNavigate();
  const [search, setSearch] = useSearchParams();
  const settings = useLiveQuery(readSettings);
  const own = useLiveQuery(listOwnExercises);
  const last = useLiveQuery(lastTakes);
  const [answer, setAnswer] = useState<ImportAnswer | null>(null);
  const deleted = useDeleted(own);
  const hornId = settings?.hornId;
  const range = hornId && settings.ranges[hornId];
  const entries = useMemo(
    () => (settings && own ? shelfEntries(own, playersHorn(settings)) : null),
    // What the entries are made of; other settings leave them as they are.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [own, hornId, range?.lowest, range?.highest],
  );
  if (!settings || !entries || !own) return null;
  return (
    <ShelfView
      entries={entries}
      last={last ?? new Map()}
      settings={settings}
      filter={readShelfFilter(search)}
      answer={answer}
      deletedName={deleted.name}
      hasOwn={own.length > 0}
      onFilter={(filter) => setSearch(shelfSearch(filter), { replace: true })}
      onStar={(key) => void toggleFavourite(key)}
      onNew={() =>
        void addOwnExercise(newExercise(playersHorn(settings)), Date.now()).then((id) =>
          navigate(`/shelf/own/${id}`),
        )
      }
      onImport={(file) => void importExercises(file).then(setAnswer)}
      onExport={() => saveExercises(own.map(({ exercise }) => exercise))}
      onUndo={() => {
        if (deleted.id) void undoDeleteOwnExercise(deleted.id);
        deleted.forget();
      }}
    />
  );
}
