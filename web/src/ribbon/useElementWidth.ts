import { useCallback, useState } from 'react';

/** A ref for an element, and its width in CSS pixels, kept true while it is resized; 0 before it is known. */
export function useElementWidth(): [(element: HTMLElement | null) => (() => void) | undefined, number] {
  const [width, setWidth] = useState(0);
  const attach = useCallback((element: HTMLElement | null) => {
    if (!element) return undefined;
    const observer = new ResizeObserver(([entry]) => setWidth(Math.floor(entry.contentRect.width)));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return [attach, width];
}
