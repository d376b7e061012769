import { useEffect, useEffectEvent } from 'react';

const isTypedInto = (target: EventTarget | null) =>
  target instanceof HTMLElement && target.closest('input, textarea, select') !== null;

/** A key by the sign that is printed on it: where signs lie, and whether shift is needed, differs from keyboard to keyboard. */
export function usePrintedKey(sign: string, act: () => void, isOn: boolean): void {
  const press = useEffectEvent((event: KeyboardEvent) => {
    if (event.key !== sign || event.ctrlKey || event.metaKey || event.altKey) return;
    if (isTypedInto(event.target)) return;
    event.preventDefault();
    act();
  });
  useEffect(() => {
    if (!isOn) return undefined;
    const onKey = (event: KeyboardEvent) => press(event);
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [isOn]);
}
