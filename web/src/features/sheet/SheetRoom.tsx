import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { playersHorn, readAskedFor } from '../../addresses/index.ts';
import { listOwnExercises, readSettings } from '../../storage/index.ts';
import { readPaper, useSearch } from '../../ui/index.ts';
import { SheetView } from './SheetView.tsx';

/** Exercises on paper. What is printed is in the address. */
export function Component() {
  const [search, ask] = useSearch();
  const settings = useLiveQuery(readSettings);
  const own = useLiveQuery(listOwnExercises);
  const pieces = useMemo(
    () => (settings && own ? readAskedFor(search, own, playersHorn(settings)) : null),
    [search, own, settings],
  );
  if (!settings || !pieces) return null;
  return (
    <SheetView
      pieces={pieces}
      paper={readPaper(search)}
      settings={settings}
      onPaper={(paper) => {
        const next = new URLSearchParams(search);
        next.set('paper', paper);
        ask(next);
      }}
    />
  );
}
