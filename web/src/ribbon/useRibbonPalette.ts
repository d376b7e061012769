import { useSyncExternalStore } from 'react';
import { PALETTES, type RibbonPalette } from './palette.ts';

function subscribe(changed: () => void): () => void {
  const observer = new MutationObserver(changed);
  observer.observe(document.documentElement, { attributeFilter: ['class'] });
  return () => observer.disconnect();
}

/** The palette of the theme that the page wears now. */
export function useRibbonPalette(): RibbonPalette {
  const stage = useSyncExternalStore(subscribe, () => document.documentElement.classList.contains('dark'));
  return PALETTES[stage ? 'stage' : 'daylight'];
}
