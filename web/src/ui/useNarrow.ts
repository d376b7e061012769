import { useSyncExternalStore } from 'react';

const narrow = '(max-width: 767px)';

function subscribe(changed: () => void): () => void {
  const media = window.matchMedia(narrow);
  media.addEventListener('change', changed);
  return () => media.removeEventListener('change', changed);
}

/** Whether the screen is a phone's: drawings then take less height. */
export function useNarrow(): boolean {
  return useSyncExternalStore(subscribe, () => window.matchMedia(narrow).matches);
}
