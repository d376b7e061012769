import type { TFunction } from 'i18next';
import { measureText } from '../../notation/index.ts';
import type { AimProgress } from './useAims.ts';

/** How far an aim is, in one sentence. */
export function distanceText({ aim: { goal }, progress }: AimProgress, t: TFunction): string {
  const { now, distance, isReached } = progress;
  if (now === null || distance === null) return t('aim.nothing');
  const figures = {
    now: measureText(now, goal.measure, t),
    target: measureText(goal.target, goal.measure, t),
    distance: measureText(distance, goal.measure, t),
  };
  if (isReached) return t('aim.reached', figures);
  return t(distance === 0 ? 'aim.nearly' : 'aim.far', figures);
}
