import { useSyncExternalStore } from 'react';

/** Header, verdict and margins around the page of an exercise. */
const AROUND_PX = 262;
const LEAST_PX = 380;
const MOST_PX = 680;

function subscribe(changed: () => void): () => void {
  window.addEventListener('resize', changed);
  return () => window.removeEventListener('resize', changed);
}

/** Height of the drawing on the Stand, so that note, ribbon and beat fit one screen. */
export function usePageHeight(): number {
  return useSyncExternalStore(subscribe, () =>
    Math.max(
      LEAST_PX,
      Math.min(MOST_PX, window.innerHeight - AROUND_PX - (window.innerWidth < 768 ? 110 : 0)),
    ),
  );
}
