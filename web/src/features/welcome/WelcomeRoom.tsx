import { useLiveQuery } from 'dexie-react-hooks';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { changeSettings, readSettings, type SettingsRecord } from '../../storage/index.ts';
import { WelcomeView } from './WelcomeView.tsx';

const NAMING: Partial<Record<string, SettingsRecord['naming']>> = { de: 'german', it: 'fixedDo' };

/** A first visit: four questions, then the first take. */
export function Component() {
  const settings = useLiveQuery(readSettings);
  const navigate = useNavigate();
  const { i18n } = useTranslation();
  if (!settings) return null;
  return (
    <WelcomeView
      settings={settings}
      onChange={(change) => void changeSettings(change)}
      onBegin={async (where) => {
        // The note names that go with the language; both have a setting of their own in the Case.
        await changeSettings({ visited: true, naming: NAMING[i18n.language] ?? 'letters' });
        await navigate(where);
      }}
    />
  );
}
