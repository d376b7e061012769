import { useHotkeys } from 'react-hotkeys-hook';

/** Keys that act unless the focus is on a button or a link, which they would press instead. */
export function useFreeKeys(keys: string, act: () => void): void {
  useHotkeys(keys, (event) => {
    if (event.target instanceof HTMLButtonElement || event.target instanceof HTMLAnchorElement) return;
    event.preventDefault();
    act();
  });
}
