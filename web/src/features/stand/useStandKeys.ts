import { useHotkeys } from 'react-hotkeys-hook';
import type { SettingsRecord, StandKeys } from '../../storage/index.ts';

/** Stands for no key where single keys are off. */
const NO_KEY = 'f13';

/** A field that was pressed last keeps no pedal from the Stand. */
const IN_FIELDS = { enableOnFormTags: true } as const;

export interface StandActions extends Partial<Record<keyof StandKeys, () => unknown>> {
  start?: () => void;
  again?: () => void;
  leave?: () => void;
}

/** How the focus last moved: where a finger or the mouse put it, the keys are still the Stand's. */
let movedByKey = false;
for (const moves of ['pointerdown', 'keydown'] as const)
  window.addEventListener(
    moves,
    (event) => {
      if (!(event instanceof KeyboardEvent)) movedByKey = false;
      else if (event.key === 'Tab') movedByKey = true;
    },
    { capture: true },
  );

/** Whether a key press belongs to the control that has the focus, and not to the Stand. */
function belongsToControl({ key, target }: KeyboardEvent): boolean {
  if (!(target instanceof HTMLElement)) return false;
  const isPressing = key === ' ' || key === 'Enter' || key.startsWith('Arrow');
  if (target.closest('[type=radio]')) return isPressing && movedByKey;
  if (target.closest('textarea, input:not([role=spinbutton])')) return true;
  // A number has no use for the space bar.
  if (target.closest('input')) return (isPressing || key.length === 1) && key !== ' ';
  if (target.closest('select')) return isPressing && movedByKey;
  return Boolean(target.closest('button, a, summary')) && movedByKey && isPressing;
}

/**
 * Keys and page-turn pedals: the right pedal (arrow right or down, page down, space, enter) starts or goes on,
 * the left one plays again. `arrows` false leaves them to a question that is up. Single keys are the player's own and can be switched off.
 */
export function useStandKeys(settings: SettingsRecord | null, actions: StandActions, arrows = true): void {
  const run = (action: (() => unknown) | undefined) => (event: KeyboardEvent) => {
    if (!action || belongsToControl(event)) return;
    event.preventDefault();
    // Let go of, a button is not pressed by the key that comes up.
    if (!movedByKey && event.target instanceof HTMLElement) event.target.blur();
    action();
  };
  // Without dependencies: the binding stays, and what it does is always the latest.
  useHotkeys(`space, enter, pagedown${arrows ? ', right, down' : ''}`, run(actions.start), IN_FIELDS);
  useHotkeys(`pageup${arrows ? ', left, up' : ''}`, run(actions.again), IN_FIELDS);
  useHotkeys('escape', run(actions.leave));
  const keys = settings?.singleKeys ? settings.keys : null;
  const own = (name: keyof StandKeys) =>
    [keys?.[name] || NO_KEY, run(actions[name]), { enabled: keys !== null, ...IN_FIELDS }] as const;
  useHotkeys(...own('watch'));
  useHotkeys(...own('blind'));
  useHotkeys(...own('click'));
  useHotkeys(...own('drone'));
  useHotkeys(...own('keep'));
  useHotkeys(...own('pause'));
  useHotkeys(...own('skip'));
}
