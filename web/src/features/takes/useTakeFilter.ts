import { useEffect, useEffectEvent, useState } from 'react';
import { useLocation } from 'react-router';
import { useSetSearch } from '../../ui/index.ts';
import { filterSearch, readFilter, type TakeFilter } from './takeFilter.ts';

interface ListState {
  deletedId?: string;
  /** The address was written by typing here: what is typed meanwhile must not be undone by it. */
  typed?: boolean;
}

/** The filter as it is typed, written to the address behind it, and read from it when one comes by a link. */
export function useTakeFilter() {
  const { search, state, key } = useLocation() as { search: string; state: ListState | null; key: string };
  const ask = useSetSearch();
  const [filter, setFilter] = useState(() => readFilter(new URLSearchParams(search)));
  const arrive = useEffectEvent(() => {
    if (!state?.typed) setFilter(readFilter(new URLSearchParams(search)));
  });
  useEffect(() => arrive(), [key]);
  const change = (next: TakeFilter) => {
    setFilter(next);
    ask(filterSearch(next), { state: { ...state, typed: true } });
  };
  return { filter, change, deletedId: state?.deletedId ?? '' };
}
