import { familyById, type Exercise } from '@inner-hum/core/exercise';
import type { TFunction } from 'i18next';

/** The name of a family of drills; an own exercise has none of these. */
export function familyName(id: string | null, t: TFunction): string {
  const family = id === null ? null : familyById(id);
  return t(family ? `familyName.${family.id}` : 'familyName.own');
}

/** What an exercise is called: by the player, else by its family. */
export function exerciseName({ name, family }: Pick<Exercise, 'name' | 'family'>, t: TFunction): string {
  return name ?? familyName(family, t);
}
