import { useHotkeys } from 'react-hotkeys-hook';

const PRESSING = new Set([' ', 'Enter']);

/** Keys that act, but for those that press the button or link that has the focus. */
export function useFreeKeys(keys: string, act: () => void): void {
  useHotkeys(keys, (event) => {
    const { target } = event;
    const isPressed = target instanceof HTMLButtonElement || target instanceof HTMLAnchorElement;
    if (isPressed && PRESSING.has(event.key)) return;
    event.preventDefault();
    act();
  });
}
