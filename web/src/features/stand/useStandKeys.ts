import { useHotkeys } from 'react-hotkeys-hook';
import type { SettingsRecord, StandKeys } from '../../storage/index.ts';

/** Stands for no key where single keys are off. */
const NO_KEY = 'f13';

export interface StandActions extends Partial<Record<keyof StandKeys, () => unknown>> {
  start?: () => void;
  again?: () => void;
  leave?: () => void;
}

/** Whether a key press belongs to the control that has the focus, and not to the Stand. */
function belongsToControl({ key, target }: KeyboardEvent): boolean {
  const control =
    target instanceof HTMLElement && target.closest('button, a, input, select, textarea, summary');
  return Boolean(control) && (key === ' ' || key === 'Enter' || key.startsWith('Arrow'));
}

/**
 * Keys and page-turn pedals: the right pedal (arrow right or down, page down, space, enter) starts or goes on,
 * the left one plays again. `arrows` false leaves them to a question that is up. Single keys are the player's own and can be switched off.
 */
export function useStandKeys(settings: SettingsRecord | null, actions: StandActions, arrows = true): void {
  const run = (action: (() => unknown) | undefined) => (event: KeyboardEvent) => {
    if (!action || belongsToControl(event)) return;
    event.preventDefault();
    action();
  };
  const keys = settings?.singleKeys ? settings.keys : null;
  const single = (name: keyof StandKeys) => keys?.[name] ?? '';
  useHotkeys(`space, enter, pagedown${arrows ? ', right, down' : ''}`, run(actions.start), [actions, arrows]);
  useHotkeys(`pageup${arrows ? ', left, up' : ''}`, run(actions.again), [actions, arrows]);
  useHotkeys('escape', run(actions.leave), [actions]);
  const own = { enabled: keys !== null };
  useHotkeys(single('watch') || NO_KEY, run(actions.watch), own, [actions, keys]);
  useHotkeys(single('blind') || NO_KEY, run(actions.blind), own, [actions, keys]);
  useHotkeys(single('click') || NO_KEY, run(actions.click), own, [actions, keys]);
  useHotkeys(single('drone') || NO_KEY, run(actions.drone), own, [actions, keys]);
  useHotkeys(single('keep') || NO_KEY, run(actions.keep), own, [actions, keys]);
  useHotkeys(single('pause') || NO_KEY, run(actions.pause), own, [actions, keys]);
  useHotkeys(single('skip') || NO_KEY, run(actions.skip), own, [actions, keys]);
}
