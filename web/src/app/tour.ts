import { withSearch } from '../addresses/withSearch.ts';

/** Eight stops through the demo, each one room with something that happened in twelve weeks; its sentence is `tour.` and its name. */
export const TOUR = [
  { name: 'today', at: '/today' },
  { name: 'swell', at: '/takes/demo-scene-7?over=demo-scene-6' },
  { name: 'map', at: '/map?note=68' },
  { name: 'cause', at: '/map/findings' },
  { name: 'trend', at: '/logbook/trends?measure=responseMs&zone=low' },
  { name: 'ladder', at: '/ladder' },
  { name: 'trial', at: '/logbook/trials' },
  { name: 'aim', at: '/logbook/aims' },
] as const;

/** The address of a stop, from 0: it says by itself which stop it is. */
export const stopAddress = (stop: number): string => withSearch(TOUR[stop].at, 'tour', String(stop + 1));

/** Which stop an address is, from 0; null: none. */
export function stopOf(search: string): number | null {
  const stop = Number(new URLSearchParams(search).get('tour')) - 1;
  return Number.isInteger(stop) && stop >= 0 && stop < TOUR.length ? stop : null;
}
