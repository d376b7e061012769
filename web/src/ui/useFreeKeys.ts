import { useHotkeys } from 'react-hotkeys-hook';

const PRESSING = new Set([' ', 'Enter']);

/** Keys that act, but for those that press, type into or choose in what has the focus. */
export function useFreeKeys(keys: string, act: () => void): void {
  useHotkeys(
    keys,
    (event) => {
      if (isOfControl(event)) return;
      event.preventDefault();
      act();
    },
    { enableOnFormTags: true },
  );
}

function isOfControl({ target, key }: KeyboardEvent): boolean {
  const isPressing = PRESSING.has(key);
  if (target instanceof HTMLInputElement && target.type === 'radio')
    return isPressing || key.startsWith('Arrow');
  if (target instanceof HTMLButtonElement || target instanceof HTMLAnchorElement) return isPressing;
  return target instanceof HTMLElement && target.matches('input, textarea, select');
}
