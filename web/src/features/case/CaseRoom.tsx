import { useLiveQuery } from 'dexie-react-hooks';
import { changeSettings, readCalibration, readSettings } from '../../storage/index.ts';
import { CaseView } from './CaseView.tsx';

/** Gear and habits: horn, tuning, names, tolerances, keys, microphone. */
export function Component() {
  const settings = useLiveQuery(readSettings);
  const calibration = useLiveQuery(readCalibration);
  if (!settings || calibration === undefined) return null;
  return (
    <CaseView
      settings={settings}
      calibration={calibration}
      onChange={(change) => void changeSettings(change)}
    />
  );
}
