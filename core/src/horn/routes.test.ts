import fc from 'fast-check';
import { expect, it } from 'vitest';
import {
  allowedRoutes,
  bestLine,
  fingeringOf,
  fingeringsOf,
  frequencyHz,
  HIGHEST_PARTIAL,
  hornById,
  HORN_IDS,
  isSameFingering,
  KEYS,
  LAST_FUNDAMENTAL,
  moveCost,
  partialNote,
  pureCents,
  readNote,
  regularFingering,
  routeChance,
  routeCost,
  routesTo,
  ROUTE_MODES,
  toSounding,
  writtenMidi,
  type Route,
} from './index.ts';

const midi = (name: string) => writtenMidi(readNote(name) ?? 0);

it('fingers every note from the lowest to G6 its own way, with keys a horn has', () => {
  const notes = Array.from({ length: 35 }, (_, i) => writtenMidi(57 + i));
  const regular = notes.map(regularFingering);
  regular.forEach((fingering, i) => {
    expect(fingering.every((key) => KEYS.includes(key))).toBe(true);
    for (const other of regular.slice(i + 1)) expect(isSameFingering(fingering, other)).toBe(false);
    for (const [j, also] of fingeringsOf(notes[i]).entries())
      expect(isSameFingering(also, fingering)).toBe(j === 0);
  });
  // The second octave is the first with the octave key: D5 to C#6.
  for (let note = 74; note <= 85; note++)
    expect(regularFingering(writtenMidi(note))).toEqual(
      fingeringOf(['oct', ...regularFingering(writtenMidi(note - 12))]),
    );
  expect(fingeringsOf(midi('C5'))).toEqual([['L2'], ['L1', 'sideC']]);
  expect(fingeringsOf(midi('E6')).at(1)).toEqual(fingeringOf(['oct', 'frontF', 'L2', 'L3']));
  expect(regularFingering(midi('C#5'))).toEqual([]);
  expect(fingeringsOf(writtenMidi(95))).toEqual([]);
});

it('knows the series over a low note, and how far it lies from the piano', () => {
  const series = Array.from({ length: 8 }, (_, i) => partialNote(midi('Bb3'), i + 1));
  expect(series).toEqual(['Bb3', 'Bb4', 'F5', 'Bb5', 'D6', 'F6', 'Ab6', 'Bb6'].map(midi));
  expect([1, 2, 3, 4, 5, 6, 7, 8].map((partial) => Math.round(pureCents(partial)))).toEqual([
    0, 0, 2, 0, -14, 2, -31, 0,
  ]);
});

it('finds every way to a note on every horn: the same as counting through all tubes by frequency', () => {
  for (const id of HORN_IDS) {
    const horn = hornById(id);
    const hz = (note: number) => frequencyHz(toSounding(writtenMidi(note), horn), 440);
    for (let note = horn.lowest as number; note <= 98; note++) {
      const routes = routesTo(writtenMidi(note), horn);
      const long: [number, number][] = [];
      for (let tube = horn.lowest as number; tube <= LAST_FUNDAMENTAL; tube++)
        for (let partial = 2; partial <= HIGHEST_PARTIAL; partial++)
          if (Math.abs(1200 * Math.log2((partial * hz(tube)) / hz(note))) < 50) long.push([tube, partial]);
      expect(
        routes.filter(({ kind }) => kind === 'longTube').map(({ tube, partial }) => [tube, partial]),
      ).toEqual(long);
      for (const { tube, partial, octaveKey, fingered } of routes) {
        expect(Math.abs(1200 * Math.log2((partial * hz(tube)) / hz(note)))).toBeLessThan(32);
        expect(octaveKey).toBe(regularFingering(fingered).includes('oct'));
      }
    }
  }
  const alto = hornById('alto');
  // As players write them: Bb5 as itself, as the 4th partial of Bb3, the 3rd of Eb4 with and without the octave key.
  expect(routesTo(midi('Bb5'), alto).map(({ fingered, partial }) => [fingered, partial])).toEqual([
    [midi('Bb5'), 2],
    [midi('Bb3'), 4],
    [midi('Eb4'), 3],
    [midi('Eb5'), 3],
  ]);
  const fifths = ['D5 A5', 'Eb5 Bb5', 'E5 B5', 'F5 C6', 'G5 D6', 'Bb5 F6', 'B5 F#6'].map((pair) =>
    pair.split(' ').map(midi),
  );
  for (const [fingered, sounding] of fifths)
    expect(routesTo(sounding, alto).find(({ kind }) => kind === 'shortTube')?.fingered).toBe(fingered);
  expect(routesTo(midi('G6'), alto).some(({ kind }) => kind === 'shortTube')).toBe(false);
});

it('routes a line as cheaply as trying every combination does, in every mode', () => {
  const horn = hornById('alto');
  const seed = 7007;
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 70, max: 90 }), { minLength: 1, maxLength: 5 }),
      fc.constantFrom(...ROUTE_MODES.filter((mode) => mode !== 'alternate')),
      fc.dictionary(fc.integer({ min: 0, max: 400 }).map(String), fc.integer({ min: 0, max: 12 })),
      (midis, mode, luck) => {
        const notes = midis.map(writtenMidi);
        const chanceOf = (route: Route) => {
          const spoke = luck[String((route.fingered * 8 + route.partial) % 400)];
          return routeChance(route, spoke === undefined ? null : { spoke, tries: 12 });
        };
        const line = bestLine({ notes, horn, mode, chanceOf });
        const choices = notes.map((note) => allowedRoutes(note, horn, mode));
        if (choices.some(({ length }) => length === 0)) {
          expect(line).toBe(null);
          return;
        }
        const all = choices.reduce<Route[][]>(
          (lines, routes) => lines.flatMap((before) => routes.map((route) => [...before, route])),
          [[]],
        );
        const price = (routes: Route[]) =>
          routes.reduce(
            (sum, route, i) =>
              sum + routeCost(chanceOf(route)) + (i > 0 ? moveCost(routes[i - 1], route) : 0),
            0,
          );
        expect(line?.cost).toBeCloseTo(Math.min(...all.map(price)), 9);
        expect(price(line?.notes.map(({ route }) => route) ?? [])).toBeCloseTo(line?.cost ?? 0, 9);
        expect(line?.notes.map(({ note }) => note)).toEqual(notes);
      },
    ),
    { seed, numRuns: 300 },
  );
});

it('takes a route that speaks for this player before one that is usual, and a pitch twice where that is asked for', () => {
  const horn = hornById('alto');
  const spoken = (lucky: number) => (route: Route) =>
    routeChance(route, route.fingered === lucky ? { spoke: 20, tries: 20 } : { spoke: 2, tries: 20 });
  const routed = (lucky: number) =>
    bestLine({ notes: [midi('F5')], horn, mode: 'overtones', chanceOf: spoken(lucky) })?.notes[0].route
      .fingered;
  expect([routed(58), routed(65)]).toEqual([58, 65]);
  const twice = bestLine({
    notes: [midi('F5'), midi('G5')],
    horn,
    mode: 'alternate',
    chanceOf: (route) => routeChance(route, null),
  });
  expect(twice?.notes.map(({ note, route }) => [note, route.kind === 'regular'])).toEqual([
    [midi('F5'), true],
    [midi('F5'), false],
    [midi('G5'), true],
    [midi('G5'), false],
  ]);
  // D5 E5 F5 fingered, A5 B5 C6 sounding: a whole line overblown a fifth.
  const fifth = bestLine({
    notes: ['A5', 'B5', 'C6'].map(midi),
    horn,
    mode: 'fifth',
    chanceOf: () => 1,
  });
  expect(fifth?.notes.map(({ route }) => route.fingered)).toEqual(['D5', 'E5', 'F5'].map(midi));
});
