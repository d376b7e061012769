import { createSearchParams, useNavigate, useSearchParams, type URLSearchParamsInit } from 'react-router';

/** What the address asks of a room, and a way to ask for something else in its place; a help that is open stays open. */
export function useSearch() {
  const [search] = useSearchParams();
  const navigate = useNavigate();
  const ask = (next: URLSearchParamsInit) =>
    void navigate(
      { search: createSearchParams(next).toString(), hash: window.location.hash },
      { replace: true },
    );
  return [search, ask] as const;
}
