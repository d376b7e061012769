import { useEffect } from 'react';

const APP = 'Inner Hum';

/** Names the page in the browser's tab and history; null: the app alone. */
export function usePageTitle(name: string | null): void {
  useEffect(() => {
    document.title = name ? `${name} - ${APP}` : APP;
  }, [name]);
}
