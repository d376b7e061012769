import { familyById, routeExercise, type Exercise, type MajorKey } from '@inner-hum/core/exercise';
import { routeChance, type Horn, type Route, type RouteMode } from '@inner-hum/core/horn';
import { rungOf, type RungTry } from '@inner-hum/core/plan';

interface LineRequest {
  horn: Horn;
  key: MajorKey;
  /** An exercise instead of a scale. */
  line: Exercise | null;
  mode: RouteMode;
  tries: readonly RungTry[];
}

/** How likely a route speaks for this player. */
export function chanceFor(tries: readonly RungTry[]) {
  return (route: Route) => routeChance(route, rungOf(route.fingered, route.partial, tries));
}

/** A scale or an exercise through routes; null where it has none in this mode, or the range has no room for such a scale. */
export function routedLine({ horn, key, line, mode, tries }: LineRequest): Exercise | null {
  const request = { horn, mode, chanceOf: chanceFor(tries) };
  if (line) return routeExercise(line, request);
  const family = familyById('overtoneScale');
  if (!family?.options(horn)) return null;
  // The family writes the scale as far as this mode goes; its notes are then routed by the player's own tries.
  const scale = family.build(horn, { key, route: mode === 'alternate' ? 'easiest' : mode });
  const plain = {
    ...scale,
    phrases: scale.phrases.map((phrase) => ({
      ...phrase,
      items: phrase.items.map((item) => (item.kind === 'note' ? { ...item, fingered: null } : item)),
    })),
  };
  return routeExercise(plain, request);
}
