import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { listTakes, readTakeFrames, type TakeRecord } from '../../storage/index.ts';
import { drawTake, type TakeDrawing } from '../../listing/index.ts';

export interface OtherTake {
  take: TakeRecord;
  drawing: TakeDrawing;
}

/** Takes that can be laid over `take`, and the one the address asks for. */
export function useOtherTake(take: TakeRecord) {
  const [search, setSearch] = useSearchParams();
  const takes = useLiveQuery(listTakes);
  const others = useMemo(
    () =>
      (takes ?? []).filter(
        ({ id, analysis, kind }) => id !== take.id && (analysis !== null || kind === 'other'),
      ),
    [takes, take.id],
  );
  const chosen = others.find(({ id }) => id === search.get('over')) ?? null;
  const chosenId = chosen?.id ?? '';
  const frames = useLiveQuery(
    async () => ({ id: chosenId, columns: chosenId ? await readTakeFrames(chosenId) : null }),
    [chosenId],
  );
  const other = useMemo(
    (): OtherTake | null =>
      // While another one is being read the query still holds the last.
      chosen && frames?.columns && frames.id === chosen.id
        ? { take: chosen, drawing: drawTake(chosen, frames.columns) }
        : null,
    [chosen, frames],
  );
  const choose = (id: string) => setSearch(id ? { over: id } : {}, { replace: true });
  return { others, other, otherId: chosenId, choose };
}
