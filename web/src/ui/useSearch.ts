import {
  createSearchParams,
  useNavigate,
  useSearchParams,
  type NavigateOptions,
  type URLSearchParamsInit,
} from 'react-router';

/** Asks this room for something else, in the place of what stood in the address; a help that is open stays open. */
export function useSetSearch() {
  const navigate = useNavigate();
  return (search: string, options?: NavigateOptions) =>
    void navigate({ search, hash: window.location.hash }, { replace: true, ...options });
}

/** What the address asks of a room, and a way to ask for something else. */
export function useSearch() {
  const [search] = useSearchParams();
  const askFor = useSetSearch();
  const ask = (next: URLSearchParamsInit) => askFor(createSearchParams(next).toString());
  return [search, ask] as const;
}
