import { useEffect, useEffectEvent, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { filterSearch, readFilter, type TakeFilter } from './takeFilter.ts';

interface ListState {
  deletedId?: string;
  /** The address was written by typing here: what is typed meanwhile must not be undone by it. */
  typed?: boolean;
}

/** The filter as it is typed, written to the address behind it, and read from it when one comes by a link. */
export function useTakeFilter() {
  const { search, state, key } = useLocation() as { search: string; state: ListState | null; key: string };
  const navigate = useNavigate();
  const [filter, setFilter] = useState(() => readFilter(new URLSearchParams(search)));
  const arrive = useEffectEvent(() => {
    if (!state?.typed) setFilter(readFilter(new URLSearchParams(search)));
  });
  useEffect(() => arrive(), [key]);
  const change = (next: TakeFilter) => {
    setFilter(next);
    void navigate(
      { search: filterSearch(next), hash: window.location.hash },
      { replace: true, state: { ...state, typed: true } },
    );
  };
  return { filter, change, deletedId: state?.deletedId ?? '' };
}
