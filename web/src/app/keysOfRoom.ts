import type { SettingsRecord, StandKeys } from '../storage/index.ts';

/** A key, or several that do the same, and the name of what it does: `keys.` followed by this. */
export interface KeyRow {
  keys: readonly string[];
  does:
    | 'find'
    | 'keys'
    | 'start'
    | 'again'
    | 'leave'
    | 'swell'
    | 'listen'
    | 'changeOver'
    | 'cursor'
    | 'forward'
    | 'replay'
    | keyof StandKeys;
}

const OWN_OF_DRILL = ['watch', 'blind', 'click', 'drone', 'tap', 'pause', 'skip'] as const;
const OWN_OF_DESK = ['click', 'drone', 'tap', 'keep'] as const;

const TURNS = ['space', 'enter', '→', 'PgDn'];

/** Which keys do something in the room of an address, with the player's own keys in their places. */
export function keysOfRoom(
  pathname: string,
  { singleKeys, keys }: Pick<SettingsRecord, 'singleKeys' | 'keys'>,
): KeyRow[] {
  const own = (names: readonly (keyof StandKeys)[]): KeyRow[] =>
    singleKeys ? names.map((does) => ({ keys: [keys[does]], does })) : [];
  const everywhere: KeyRow[] = singleKeys
    ? [
        { keys: ['/'], does: 'find' },
        { keys: ['?'], does: 'keys' },
      ]
    : [];
  if (pathname === '/stand') return [{ keys: TURNS, does: 'swell' }, ...own(OWN_OF_DESK), ...everywhere];
  if (pathname.startsWith('/stand/'))
    return [
      { keys: TURNS, does: 'start' },
      { keys: ['←', 'PgUp'], does: 'again' },
      { keys: ['esc'], does: 'leave' },
      ...own(OWN_OF_DRILL),
      ...everywhere.slice(1),
    ];
  if (pathname === '/reading' || pathname === '/case/calibrate')
    return [
      { keys: TURNS, does: 'forward' },
      ...(pathname === '/reading' ? [{ keys: ['←', 'PgUp'], does: 'replay' } as const] : []),
      ...everywhere,
    ];
  if (/^\/takes\/(?!round\/)./.test(pathname))
    return [
      { keys: ['space'], does: 'listen' },
      ...(singleKeys ? [{ keys: ['x'], does: 'changeOver' } as const] : []),
      { keys: ['←', '→'], does: 'cursor' },
      ...everywhere,
    ];
  return everywhere;
}
