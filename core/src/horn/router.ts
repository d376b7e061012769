import { regularFingering } from './fingerings.ts';
import type { Horn } from './horns.ts';
import { keysMoved } from './keys.ts';
import type { WrittenMidi } from './pitch.ts';
import { regularRoute, routesTo, type Route } from './routes.ts';

/**
 * How a line is to be taken. `easiest`: any route. `overtones`: never the regular fingering where there is another.
 * `shortTubes`: overblown fifths where there are, else regular. `fifth`: the whole line fingered a fifth lower, overblown.
 * `alternate`: every pitch twice, regular and then as an overtone.
 */
export const ROUTE_MODES = ['easiest', 'overtones', 'shortTubes', 'fifth', 'alternate'] as const;
export type RouteMode = (typeof ROUTE_MODES)[number];

export interface RouterRequest {
  /** Written notes in the order of playing. */
  notes: readonly WrittenMidi[];
  horn: Pick<Horn, 'lowest' | 'highest'>;
  mode: RouteMode;
  /** Chance that a route speaks, 0-1. */
  chanceOf(route: Route): number;
  /** Notes that are to be fingered as this one, whatever the mode; a note that has no such route is free. Absent: none. */
  pinned?: ReadonlyMap<WrittenMidi, WrittenMidi>;
}

/** A line with its routes. With `alternate` it has two notes for each that was asked for. */
export interface RoutedLine {
  notes: { note: WrittenMidi; route: Route }[];
  /** -ln of the chance that all of it speaks, and the price of every key that moves. */
  cost: number;
}

/** What one key that moves costs, in the same measure as a chance: ten keys are as bad as a route that speaks three times in five. */
export const COST_PER_KEY = 0.05;

/** A route that never spoke is not the end of the world. */
const LEAST_CHANCE = 0.01;

/** What a route costs whose chance to speak (0-1) this is: -ln of it, 0 for a sure one. */
export const routeCost = (chance: number) => -Math.log(Math.max(LEAST_CHANCE, Math.min(1, chance)));

/** What changing from one route to the next costs. */
export function moveCost(from: Route, to: Route): number {
  return COST_PER_KEY * keysMoved(regularFingering(from.fingered), regularFingering(to.fingered));
}

/** The routes a mode allows for a note, never none where the note can be played at all. */
export function allowedRoutes(note: WrittenMidi, horn: RouterRequest['horn'], mode: RouteMode): Route[] {
  const all = routesTo(note, horn);
  const others = all.filter(({ kind }) => kind !== 'regular');
  if (mode === 'overtones') return others.length > 0 ? others : all;
  const short = all.filter(({ kind }) => kind === 'shortTube');
  if (mode === 'shortTubes') return short.length > 0 ? short : all.filter(({ kind }) => kind === 'regular');
  return mode === 'fifth' ? short : all;
}

/** The routes of a note: the pinned one, else those of the mode. */
function routesOf(note: WrittenMidi, { horn, mode, pinned }: RouterRequest): Route[] {
  const pin = routesTo(note, horn).filter(({ fingered }) => fingered === pinned?.get(note));
  return pin.length > 0 ? pin : allowedRoutes(note, horn, mode);
}

/**
 * The line whose routes are cheapest together: likeliest to speak throughout, with the fewest keys moved (dynamic
 * programming, Viterbi 1967). Null for no notes, and where one of them has no route in this mode.
 */
export function bestLine(request: RouterRequest): RoutedLine | null {
  const { notes, horn, mode, chanceOf } = request;
  const steps =
    mode === 'alternate'
      ? notes.flatMap((note) => alternating(note, horn))
      : notes.map((note) => ({ note, routes: routesOf(note, request) }));
  if (steps.length === 0 || steps.some(({ routes }) => routes.length === 0)) return null;
  let best = steps[0].routes.map((route) => routeCost(chanceOf(route)));
  const cameFrom: number[][] = [];
  for (let i = 1; i < steps.length; i++) {
    const before = steps[i - 1].routes;
    const from: number[] = [];
    best = steps[i].routes.map((route) => {
      const costs = before.map((other, j) => best[j] + moveCost(other, route));
      const least = costs.indexOf(Math.min(...costs));
      from.push(least);
      return costs[least] + routeCost(chanceOf(route));
    });
    cameFrom.push(from);
  }
  const cost = Math.min(...best);
  let at = best.indexOf(cost);
  const taken: RoutedLine['notes'] = [];
  for (let i = steps.length - 1; i >= 0; i--) {
    taken.unshift({ note: steps[i].note, route: steps[i].routes[at] });
    if (i > 0) at = cameFrom[i - 1][at];
  }
  return { notes: taken, cost };
}

/** A pitch by its regular fingering, then as an overtone; once where it has only one way. */
function alternating(note: WrittenMidi, horn: RouterRequest['horn']) {
  const regular = { note, routes: note >= horn.lowest && note <= horn.highest ? [regularRoute(note)] : [] };
  const others = routesTo(note, horn).filter(({ kind }) => kind !== 'regular');
  return [regular, { note, routes: others }].filter(({ routes }) => routes.length > 0);
}
