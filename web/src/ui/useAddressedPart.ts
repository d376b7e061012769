import { useEffect } from 'react';
import { useLocation } from 'react-router';

/** Shows the part of a room that the address names, and gives it the focus. */
export function useAddressedPart(): void {
  const { hash } = useLocation();
  useEffect(() => {
    const part = hash ? document.getElementById(hash.slice(1)) : null;
    part?.scrollIntoView({ block: 'start' });
    part?.focus({ preventScroll: true });
  }, [hash]);
}
