import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect } from 'react';
import { Navigate, Outlet, useLocation } from 'react-router';
import { readSettings } from '../storage/index.ts';
import { nameNotesInTexts } from '../notation/index.ts';
import { setLanguage } from '../words/index.ts';
import { KeysPanel } from './KeysPanel.tsx';
import { applyTheme } from './applyTheme.ts';

/** Where a first visitor may go before the questions are answered. */
const OPEN_TO_ALL = ['/welcome', '/reading', '/task'];

/** Wears the player's theme and language, and sends a first visitor to the questions. */
export function Doorway() {
  const settings = useLiveQuery(readSettings);
  const { pathname } = useLocation();
  const theme = settings?.theme;
  useEffect(() => (theme ? applyTheme(theme) : undefined), [theme]);
  const language = settings?.language;
  const naming = settings?.naming;
  useEffect(() => {
    if (!language || !naming) return;
    void setLanguage(language)
      .catch(() => undefined)
      .then(() => nameNotesInTexts(naming));
  }, [language, naming]);
  if (!settings) return null;
  if (!settings.visited && !OPEN_TO_ALL.includes(pathname)) return <Navigate to="/welcome" replace />;
  return (
    <>
      <KeysPanel />
      <Outlet />
    </>
  );
}
