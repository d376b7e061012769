import { useHotkeys } from 'react-hotkeys-hook';
import type { SettingsRecord, StandKeys } from '../../storage/index.ts';

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
 * the left one plays again. Single keys are the player's own and can be switched off.
 */
export function useStandKeys(settings: SettingsRecord | null, actions: StandActions): void {
  const run = (action: (() => unknown) | undefined) => (event: KeyboardEvent) => {
    if (!action || belongsToControl(event)) return;
    event.preventDefault();
    action();
  };
  const keys = settings?.singleKeys ? settings.keys : null;
  const single = (name: keyof StandKeys) => keys?.[name] ?? '';
  useHotkeys('space, enter, right, down, pagedown', run(actions.start), [actions]);
  useHotkeys('left, up, pageup', run(actions.again), [actions]);
  useHotkeys('escape', run(actions.leave), [actions]);
  useHotkeys(single('watch') || 'f13', run(actions.watch), { enabled: keys !== null }, [actions, keys]);
  useHotkeys(single('blind') || 'f13', run(actions.blind), { enabled: keys !== null }, [actions, keys]);
  useHotkeys(single('click') || 'f13', run(actions.click), { enabled: keys !== null }, [actions, keys]);
  useHotkeys(single('keep') || 'f13', run(actions.keep), { enabled: keys !== null }, [actions, keys]);
}
