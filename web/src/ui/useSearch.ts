import {
  createSearchParams,
  useNavigate,
  useSearchParams,
  type NavigateOptions,
  type URLSearchParamsInit,
} from 'react-router';

/**
 * A choice made in a room: it takes the place of what stood in the address, and is drawn at once. Drawn when there
 * is time for it, a link to play what was chosen could be pressed while it still leads to what stood before.
 */
export const CHOSEN: NavigateOptions = { replace: true, flushSync: true };

/** Asks this room for something else; a help that is open stays open. */
export function useSetSearch() {
  const navigate = useNavigate();
  return (search: string, options?: NavigateOptions) =>
    void navigate({ search, hash: window.location.hash }, { ...CHOSEN, ...options });
}

/** What the address asks of a room, and a way to ask for something else. */
export function useSearch() {
  const [search] = useSearchParams();
  const askFor = useSetSearch();
  const ask = (next: URLSearchParamsInit) => askFor(createSearchParams(next).toString());
  return [search, ask] as const;
}
