import { useEffect } from 'react';
import { useLocation } from 'react-router';

/** What lies above a part comes in for so long, and moves it. */
const SETTLING_MS = 1000;

/** Shows the part of a room that the address names, and gives it the focus. */
export function useAddressedPart(): void {
  const { hash } = useLocation();
  useEffect(() => {
    const part = hash ? document.getElementById(hash.slice(1)) : null;
    if (!part) return undefined;
    const show = () => part.scrollIntoView({ block: 'start' });
    show();
    part.focus({ preventScroll: true });
    const growing = new ResizeObserver(show);
    growing.observe(document.body);
    const rest = setTimeout(() => growing.disconnect(), SETTLING_MS);
    // Whoever scrolls is not to be led back.
    const leave = () => growing.disconnect();
    window.addEventListener('wheel', leave, { once: true });
    window.addEventListener('touchmove', leave, { once: true });
    return () => {
      clearTimeout(rest);
      leave();
      window.removeEventListener('wheel', leave);
      window.removeEventListener('touchmove', leave);
    };
  }, [hash]);
}
