import { useEffect, useState, type RefObject } from 'react';

/** So far below the window a thing is made ready to be seen. */
const AHEAD = '400px';

/** Whether an element has ever come near the window; once it has, it stays so. */
export function useNearView(element: RefObject<Element | null>): boolean {
  const [isNear, setNear] = useState(false);
  useEffect(() => {
    if (isNear || !element.current) return undefined;
    const observer = new IntersectionObserver(
      (entries) => entries.some(({ isIntersecting }) => isIntersecting) && setNear(true),
      { rootMargin: AHEAD },
    );
    observer.observe(element.current);
    return () => observer.disconnect();
  }, [element, isNear]);
  return isNear;
}
