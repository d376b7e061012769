import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import {
  newestTakes,
  readTake,
  readTakeFrames,
  takeKeys,
  takesFromNote,
  type TakeRecord,
} from '../../storage/index.ts';
import { drawTake, type TakeDrawing } from '../../listing/index.ts';
import { useSearch } from '../../ui/index.ts';

export interface OtherTake {
  take: TakeRecord;
  drawing: TakeDrawing;
}

/** More than these nobody looks through in a list. */
const MOST_ALIKE = 60;
const MOST_OTHERS = 60;

/** The newest takes from the same note, the newest of all, and the one that is asked for. */
async function takesBeside(take: TakeRecord, wanted: string): Promise<TakeRecord[]> {
  const [alike, newest, asked] = await Promise.all([
    takesFromNote(takeKeys(take).note, MOST_ALIKE),
    newestTakes(MOST_OTHERS),
    readTake(wanted),
  ]);
  const all = [...(asked && asked.deletedAt === null ? [asked] : []), ...alike, ...newest];
  return [...new Map(all.map((each) => [each.id, each])).values()].toSorted(
    (a, b) => b.startedAt - a.startedAt,
  );
}

/** Takes that can be laid over `take`, and the one the address asks for. */
export function useOtherTake(take: TakeRecord) {
  const [search, ask] = useSearch();
  const wanted = search.get('over') ?? '';
  const takes = useLiveQuery(() => takesBeside(take, wanted), [take, wanted]);
  const others = useMemo(
    () =>
      (takes ?? []).filter(
        ({ id, analysis, kind }) => id !== take.id && (analysis !== null || kind === 'other'),
      ),
    [takes, take.id],
  );
  const chosen = others.find(({ id }) => id === wanted) ?? null;
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
  const choose = (id: string) => ask(id ? { over: id } : {});
  return { others, other, otherId: chosenId, choose };
}
