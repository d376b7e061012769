import { useCallback, useState } from 'react';

export interface ElementSize {
  width: number;
  height: number;
}

/** A ref for an element, and its size in CSS pixels, kept true while it is resized; 0 before it is known. */
export function useElementSize(): [(element: HTMLElement | null) => (() => void) | undefined, ElementSize] {
  const [size, setSize] = useState<ElementSize>({ width: 0, height: 0 });
  const attach = useCallback((element: HTMLElement | null) => {
    if (!element) return undefined;
    const observer = new ResizeObserver(([{ contentRect }]) => {
      const width = Math.floor(contentRect.width);
      const height = Math.floor(contentRect.height);
      setSize((before) => (before.width === width && before.height === height ? before : { width, height }));
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return [attach, size];
}
