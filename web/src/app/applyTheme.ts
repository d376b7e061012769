import type { SettingsRecord } from '../storage/index.ts';

/** Puts a theme on the page and keeps it; `system` follows the device. Returns how to stop following. */
export function applyTheme(theme: SettingsRecord['theme']): () => void {
  const dark = window.matchMedia('(prefers-color-scheme: dark)');
  const wear = () => {
    const stage = theme === 'stage' || (theme === 'system' && dark.matches);
    document.documentElement.classList.toggle('dark', stage);
    document.documentElement.classList.toggle('light', !stage);
    document.documentElement.style.colorScheme = stage ? 'dark' : 'light';
  };
  wear();
  dark.addEventListener('change', wear);
  return () => dark.removeEventListener('change', wear);
}
