import { useEffect, useRef, useState } from 'react';
import { useLocation } from 'react-router';
import type { OwnExercise } from '../../storage/index.ts';

interface ShelfState {
  deleted?: { id: string; name: string };
}

/** The exercise that was just taken off the shelf, as the builder handed it over; gone once it is back. */
export function useDeleted(own: readonly OwnExercise[] | undefined) {
  const { state, key } = useLocation() as { state: ShelfState | null; key: string };
  const [deleted, setDeleted] = useState(state?.deleted ?? null);
  const arrived = useRef(key);
  useEffect(() => {
    if (arrived.current === key || !state?.deleted) return;
    arrived.current = key;
    setDeleted(state.deleted);
  }, [key, state]);
  const isBack = own?.some(({ id }) => id === deleted?.id) ?? false;
  return {
    id: isBack ? null : (deleted?.id ?? null),
    name: isBack ? null : (deleted?.name ?? null),
    forget: () => setDeleted(null),
  };
}
