import type { MapFinding } from '@inner-hum/core/tendency';
import type { HornMap } from './useHornMap.ts';

/** What was not put aside; what was comes back when its evidence changes. */
export function openFindings({ findings, settings }: Pick<HornMap, 'findings' | 'settings'>): MapFinding[] {
  return findings.filter(({ key }) => !settings.dismissedFindings.includes(key));
}
