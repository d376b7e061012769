import { familyById } from '@inner-hum/core/exercise';
import type { TFunction } from 'i18next';

/** The name of a family of drills; an own exercise has none of these. */
export function familyName(id: string | null, t: TFunction): string {
  const family = id === null ? null : familyById(id);
  if (family) return t(`familyName.${family.id}`);
  return t(id === 'swell' ? 'familyName.swell' : 'familyName.own');
}
