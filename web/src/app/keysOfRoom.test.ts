import { describe, expect, it } from 'vitest';
import { DEFAULT_SETTINGS } from '../storage/index.ts';
import { keysOfRoom } from './keysOfRoom.ts';

const keysIn = (pathname: string, change: Partial<typeof DEFAULT_SETTINGS> = {}) =>
  Object.fromEntries(
    keysOfRoom(pathname, { ...DEFAULT_SETTINGS, ...change }).map(({ keys, does }) => [does, keys.join(' ')]),
  );

describe('the keys of a room', () => {
  it('names those of the Stand as the player has set them', () => {
    expect(keysIn('/stand/swell', { keys: { ...DEFAULT_SETTINGS.keys, blind: 'b' } })).toMatchObject({
      start: 'space enter → PgDn',
      again: '← PgUp',
      leave: 'esc',
      blind: 'b',
      tap: 't',
    });
    expect(keysIn('/stand')).toMatchObject({ keep: 'k', swell: 'space enter → PgDn' });
    expect(keysIn('/stand')).not.toHaveProperty('blind');
  });
  it('leaves single letters out where they are switched off, and keeps pedals', () => {
    expect(keysIn('/stand/drill/swell', { singleKeys: false })).toEqual({
      start: 'space enter → PgDn',
      again: '← PgUp',
      leave: 'esc',
    });
    expect(keysIn('/shelf', { singleKeys: false })).toEqual({});
  });
  it('tells a take from the list of takes and from a round', () => {
    expect(keysIn('/takes/abc')).toHaveProperty('listen', 'space');
    expect(keysIn('/takes')).not.toHaveProperty('listen');
    expect(keysIn('/takes/round/abc')).not.toHaveProperty('listen');
  });
  it('never gives one key two things to do', () => {
    for (const room of ['/stand', '/stand/swell', '/takes/x', '/reading', '/case/calibrate', '/today']) {
      const keys = keysOfRoom(room, DEFAULT_SETTINGS).flatMap((row) => row.keys);
      expect(new Set(keys).size, room).toBe(keys.length);
    }
  });
});
