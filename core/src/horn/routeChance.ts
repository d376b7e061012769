import { LAST_FUNDAMENTAL } from './partials.ts';
import { FIRST_SHORT_TUBE, type Route } from './routes.ts';

/** How often a route spoke in so many tries. */
export interface Spoken {
  spoke: number;
  tries: number;
}

/**
 * How likely a partial of a low tube is to speak for someone whose tries are not known: by how players meet them. The second
 * overtone (partial 3) is harder than the first and the third.
 */
const USUAL_BY_PARTIAL = [0, 0.97, 0.8, 0.6, 0.68, 0.5, 0.42, 0.3, 0.27];
/** The shorter the tube the higher the note, and the harder: by half step over the lowest. */
const PER_HALF_STEP = 0.985;
const SHORT_TUBE_FIRST = 0.75;
const PER_SHORT_STEP = 0.94;
/** Opinion before any try weighs as much as this many tries. */
const PRIOR_TRIES = 4;
const LOWEST = 58;

/** Chance that a route speaks at once, from what is usual of it and the player's own tries: between 0 and 1. */
export function routeChance(route: Route, spoken: Spoken | null): number {
  const usual = usualChance(route);
  const { spoke, tries } = spoken ?? { spoke: 0, tries: 0 };
  return (usual * PRIOR_TRIES + spoke) / (PRIOR_TRIES + tries);
}

function usualChance({ kind, fingered, partial, tube }: Route): number {
  if (kind === 'regular') return USUAL_BY_PARTIAL[1];
  if (kind === 'shortTube') return SHORT_TUBE_FIRST * PER_SHORT_STEP ** (fingered - FIRST_SHORT_TUBE);
  const steps = Math.min(LAST_FUNDAMENTAL, tube) - LOWEST;
  return USUAL_BY_PARTIAL[partial] * PER_HALF_STEP ** Math.max(0, steps);
}
