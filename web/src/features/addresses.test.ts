import { buildSwell, FAMILIES, parseExercise } from '@inner-hum/core/exercise';
import { HORN_IDS, hornById, hornWithin, writtenMidi } from '@inner-hum/core/horn';
import { highChart } from '@inner-hum/core/plan';
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { drillAddress, readDrill, readSwell, shelfAddress, swellSearch } from '../addresses/index.ts';
import { highSearch, readHighLook } from './high/highAddress.ts';
import { lookSearch, readLook } from './ladder/ladderAddress.ts';
import { mapSearch, readMapLook } from './map/mapAddress.ts';
import { readShelfFilter, shelfSearch } from './shelf/shelfFilter.ts';
import { filterSearch, readFilter } from './takes/takeFilter.ts';

// Addresses are typed, cut short, kept for years and sent on: none may break a room, and a room's own leads back to it.

const odd = fc.oneof(
  fc.constantFrom('', '0', '-1', '1e9', 'NaN', 'Infinity', '67', '67.5', '%00', 'a&b=c', '🎷', '2026-02-30'),
  fc.constantFrom('pp', 'ff', 'year', 'move', 'pure', 'low', 'own', '58.59.60', '71.x', 'true', '__proto__'),
  fc.string({ maxLength: 12 }),
  fc.integer({ min: -200, max: 200 }).map(String),
);
const address = (names: readonly string[]) =>
  fc
    .array(fc.tuple(fc.constantFrom(...names), odd), { maxLength: 6 })
    .map((pairs) => new URLSearchParams(pairs));

const LOOKS = {
  map: [['range', 'over', 'note'], (search) => mapSearch(readMapLook(search))],
  ladder: [['fingered', 'partial', 'tuning'], (search) => lookSearch(readLook(search))],
  shelf: [['zone', 'purpose', 'minutes', 'shown', 'words'], (search) => shelfSearch(readShelfFilter(search))],
  takes: [['note', 'horn', 'day', 'words'], (search) => filterSearch(readFilter(search))],
} as const satisfies Record<string, readonly [readonly string[], (search: URLSearchParams) => string]>;

it.each(Object.entries(LOOKS))(
  '%s: what an address says is said again by its own',
  (_name, [names, again]) => {
    fc.assert(
      fc.property(address([...names, 'unknown']), (search) => {
        const own = again(search);
        expect(again(new URLSearchParams(own))).toBe(own);
      }),
    );
  },
);

it('looks at a fingering of a high note for any address, on every horn', () => {
  const charts = HORN_IDS.map((id) => highChart({ hornId: id, topKey: 'F#', decisions: [], tries: [] }));
  fc.assert(
    fc.property(address(['note', 'keys']), fc.constantFrom(...charts), (search, notes) => {
      const look = readHighLook(search, notes);
      const again = readHighLook(new URLSearchParams(highSearch(look.note.writtenMidi, look.word)), notes);
      expect(again).toEqual(look);
    }),
  );
});

it('plays a swell inside the horn for any address', () => {
  fc.assert(
    fc.property(
      address(['note', 'shape', 'beats', 'tempoBpm', 'start']),
      fc.constantFrom(...HORN_IDS),
      (search, hornId) => {
        const swell = readSwell(search, hornId);
        const horn = hornById(hornId);
        expect(swell.note).toBeGreaterThanOrEqual(horn.lowest);
        expect(swell.note).toBeLessThanOrEqual(horn.highest);
        expect(() => parseExercise(buildSwell(swell))).not.toThrow();
        expect(readSwell(new URLSearchParams(swellSearch(swell)), hornId)).toEqual(swell);
      },
    ),
  );
});

it('writes an exercise of every family for any address, and the address of Stand and Shelf leads to the same one', () => {
  const anyHorn = fc
    .tuple(fc.constantFrom(...HORN_IDS), fc.integer({ min: 0, max: 12 }), fc.integer({ min: 0, max: 12 }))
    .map(([id, up, down]) => {
      const { lowest, highest } = hornById(id);
      return hornWithin(hornById(id), {
        lowest: writtenMidi(lowest + up),
        highest: writtenMidi(highest - down),
      });
    });
  for (const family of FAMILIES) {
    const names = new Set(HORN_IDS.flatMap((id) => Object.keys(family.options(hornById(id)) ?? {})));
    fc.assert(
      fc.property(anyHorn, address([...names, 'unknown']), (horn, search) => {
        const options = family.options(horn);
        fc.pre(options !== null);
        const choices = readDrill(search, family, horn);
        const exercise = family.build(horn, choices);
        for (const made of [drillAddress(family, horn, choices), shelfAddress(family, horn, choices)]) {
          const [path, query = ''] = made.split('?');
          expect(path).toMatch(new RegExp(`/${family.id}$`));
          const again = readDrill(new URLSearchParams(query), family, horn);
          expect(again).toEqual(choices);
          expect(family.build(horn, again)).toEqual(exercise);
        }
      }),
      { numRuns: 30 },
    );
  }
});
