import { changeSettings, type SettingsRecord } from '../../storage/index.ts';
import { useSession } from '../../session/index.ts';

const CLICKS: SettingsRecord['click'][] = ['off', 'seen', 'heard', 'both'];

const nextClick = (click: SettingsRecord['click']) => CLICKS[(CLICKS.indexOf(click) + 1) % CLICKS.length];

/** How the beat is given: set now, kept for the next visit. `cycle` is what its key does. */
export function useClick(settings: SettingsRecord | null) {
  const session = useSession();
  const setClick = (click: SettingsRecord['click']) => {
    session.setClick(click);
    void changeSettings({ click });
  };
  return { setClick, cycle: () => settings && setClick(nextClick(settings.click)) };
}
