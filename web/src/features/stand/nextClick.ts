import type { SettingsRecord } from '../../storage/index.ts';

const CLICKS: SettingsRecord['click'][] = ['off', 'seen', 'heard', 'both'];

export function nextClick(click: SettingsRecord['click']): SettingsRecord['click'] {
  return CLICKS[(CLICKS.indexOf(click) + 1) % CLICKS.length];
}
