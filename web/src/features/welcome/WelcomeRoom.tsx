import { useLiveQuery } from 'dexie-react-hooks';
import { useNavigate } from 'react-router';
import { changeSettings, readSettings } from '../../storage/index.ts';
import { WelcomeView } from './WelcomeView.tsx';

/** A first visit: three questions, then the first take. */
export function Component() {
  const settings = useLiveQuery(readSettings);
  const navigate = useNavigate();
  if (!settings) return null;
  return (
    <WelcomeView
      settings={settings}
      onChange={(change) => void changeSettings(change)}
      onBegin={async (where) => {
        await changeSettings({ visited: true });
        await navigate(where);
      }}
    />
  );
}
