import { useMemo, useSyncExternalStore } from 'react';
import { PALETTES, type RibbonPalette } from './palette.ts';

const FORCED = '(forced-colors: active)';

function subscribe(changed: () => void): () => void {
  const observer = new MutationObserver(changed);
  observer.observe(document.documentElement, { attributeFilter: ['class'] });
  const forced = window.matchMedia(FORCED);
  forced.addEventListener('change', changed);
  return () => {
    observer.disconnect();
    forced.removeEventListener('change', changed);
  };
}

type Worn = 'daylight' | 'stage' | 'forced';

const worn = (): Worn =>
  window.matchMedia(FORCED).matches
    ? 'forced'
    : document.documentElement.classList.contains('dark')
      ? 'stage'
      : 'daylight';

/** The colours that the system forces on every page, as a drawing needs them. */
function forcedPalette(): RibbonPalette {
  const probe = document.body.appendChild(document.createElement('span'));
  const colour = (name: string) => {
    probe.style.color = name;
    return getComputedStyle(probe).color;
  };
  probe.style.setProperty('forced-color-adjust', 'none');
  const [paper, ink, muted, brass] = ['Canvas', 'CanvasText', 'GrayText', 'Highlight'].map(colour);
  probe.remove();
  // How far off is told by place, hatch and words.
  const deviation = PALETTES.daylight.deviation.map(() => ink);
  return { paper, ink, muted, brass, cane: paper, line: muted, copper: brass, deviation };
}

/** The palette of the theme that the page wears now. */
export function useRibbonPalette(): RibbonPalette {
  const theme = useSyncExternalStore(subscribe, worn);
  return useMemo(() => (theme === 'forced' ? forcedPalette() : PALETTES[theme]), [theme]);
}
