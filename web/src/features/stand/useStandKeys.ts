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
  // Without dependencies: the binding stays, and what it does is always the latest.
  useHotkeys(`space, enter, pagedown${arrows ? ', right, down' : ''}`, run(actions.start));
  useHotkeys(`pageup${arrows ? ', left, up' : ''}`, run(actions.again));
  useHotkeys('escape', run(actions.leave));
  const keys = settings?.singleKeys ? settings.keys : null;
  const own = (name: keyof StandKeys) =>
    [keys?.[name] || NO_KEY, run(actions[name]), { enabled: keys !== null }] as const;
  useHotkeys(...own('watch'));
  useHotkeys(...own('blind'));
  useHotkeys(...own('click'));
  useHotkeys(...own('drone'));
  useHotkeys(...own('keep'));
  useHotkeys(...own('pause'));
  useHotkeys(...own('skip'));
}
