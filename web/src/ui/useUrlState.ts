import { useSearchParams, type NavigateOptions } from 'react-router';
import { useSetSearch } from './useSearch.ts';

/** What stands in the address now. While a slow page still draws the change before, what it shows is old. */
export const currentSearch = () => new URLSearchParams(window.location.search);

/** What becomes another: the new values, or how they come from those that stand. */
export type UrlStateChange<L> = Partial<L> | ((standing: L) => Partial<L>);

/**
 * What the address asks of a room, and a way to change part of it.
 * A change starts from the address as it stands.
 */
export function useUrlState<L>(read: (search: URLSearchParams) => L, write: (look: L) => string) {
  const [search] = useSearchParams();
  const ask = useSetSearch();
  const change = (part: UrlStateChange<L>, options?: NavigateOptions) => {
    const standing = read(currentSearch());
    const changed = typeof part === 'function' ? part(standing) : part;
    ask(write({ ...standing, ...changed }), options);
  };
  return [read(search), change] as const;
}
