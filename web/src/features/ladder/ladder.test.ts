import { expect, it } from 'vitest';
import { hornById, regularTube, routesTo, writtenMidi, type WrittenMidi } from '@inner-hum/core/horn';
import { ladder, nextRung, type RungTry } from '@inner-hum/core/plan';
import { familyById, notesOf, scoreOf } from '@inner-hum/core/exercise';
import { lookedAt, lookSearch, readLook } from './ladderAddress.ts';
import { noteWithoutRoute, pinsWord, readPins, routedLine } from './routedLine.ts';
import { centsFrom } from './rungText.ts';

const alto = hornById('alto');
const FREELY = { pinned: new Map<WrittenMidi, WrittenMidi>(), isOneOctave: false };
const tried = (fingered: number, partial: number, spoke: boolean, count: number): RungTry[] =>
  Array.from({ length: count }, (_, at) => ({
    fingered: writtenMidi(fingered),
    partial,
    spoke,
    heardPartial: spoke ? null : 1,
    cents: -14,
    holdSeconds: 2,
    clearSeconds: 0.4,
    at,
  }));

it('looks at the rung of the address, else at the one that is proposed', () => {
  const rungs = ladder(alto, []);
  const next = nextRung(rungs);
  const at = (search: string) => lookedAt(rungs, readLook(new URLSearchParams(search)), next);
  expect(at('fingered=60&partial=5')).toMatchObject({ fingered: 60, partial: 5, sounding: 88 });
  expect(at('')).toBe(next);
  expect(at('fingered=12&partial=99')).toBe(next);
  const look = readLook(new URLSearchParams('fingered=60&partial=5&tuning=pure'));
  expect(readLook(new URLSearchParams(lookSearch(look)))).toEqual(look);
});

it('measures a rung from what it is tuned by: the fifth partial 14 cents flat of the piano is pure', () => {
  const rung = ladder(alto, tried(58, 5, true, 6))[0][4];
  expect(centsFrom(rung, 'tempered')).toBeCloseTo(-14, 9);
  expect(Math.abs(centsFrom(rung, 'pure') ?? 99)).toBeLessThan(0.5);
  expect(centsFrom(ladder(alto, [])[0][4], 'pure')).toBe(null);
});

it('routes a scale by what speaks for this player', () => {
  const fingers = (tries: RungTry[]) => {
    const line = routedLine({ horn: alto, key: 'F', line: null, mode: 'overtones', tries, ...FREELY });
    if (!line) throw new Error('no line');
    return notesOf(scoreOf(line)).map(({ item }) => item);
  };
  const usual = fingers([]);
  for (const { writtenMidi: sounding, fingered } of usual) {
    if (fingered === null) continue;
    // Whatever is fingered has the note among its partials.
    const ratio = 2 ** ((sounding - regularTube(fingered).tube) / 12);
    expect(Math.abs(ratio - Math.round(ratio)) / ratio).toBeLessThan(0.02);
  }
  const f5 = (items: ReturnType<typeof fingers>) =>
    items.find(({ writtenMidi: midi }) => midi === 77)?.fingered;
  expect(f5(fingers([...tried(65, 2, false, 12), ...tried(58, 3, true, 12)]))).toBe(58);
  expect(f5(fingers([...tried(65, 2, true, 12), ...tried(58, 3, false, 12)]))).toBe(65);
});

it('plays a line plain and then by the same fingers a fifth higher, or says which note has no fifth', () => {
  const request = { horn: alto, key: 'C', line: null, mode: 'lift', tries: [], ...FREELY } as const;
  const line = routedLine(request);
  const [plain, higher] = (line?.phrases ?? []).map(({ items }) =>
    items.flatMap((item) => (item.kind === 'note' ? [[item.writtenMidi, item.fingered]] : [])),
  );
  // D5 E5 F5 G5 A5 B5, then A5 B5 C6 D6 E6 F#6 over them.
  expect(plain.slice(0, 6)).toEqual([74, 76, 77, 79, 81, 83].map((midi) => [midi, null]));
  expect(higher.slice(0, 6)).toEqual([74, 76, 77, 79, 81, 83].map((midi) => [midi + 7, midi]));
  expect(noteWithoutRoute(request)).toBeNull();
  // A scale that leaves the second octave has none.
  const wide = familyById('fullScales')?.build(alto, { key: 'C' }) ?? null;
  expect(routedLine({ ...request, line: wide })).toBeNull();
  expect(noteWithoutRoute({ ...request, line: wide })).toBe(60);
  expect(noteWithoutRoute({ ...request, line: wide, mode: 'fifth' })).toBe(60);
  expect(noteWithoutRoute({ ...request, line: wide, mode: 'easiest' })).toBeNull();
});

it('keeps a pinned route in every mode, whatever is likelier, and leaves alone what has no such route', () => {
  const f5 = writtenMidi(77);
  const line = (
    pinned: ReadonlyMap<WrittenMidi, WrittenMidi>,
    mode: 'easiest' | 'overtones' | 'shortTubes',
  ) => {
    const routed = routedLine({
      horn: alto,
      key: 'F',
      line: null,
      mode,
      tries: [],
      pinned,
      isOneOctave: false,
    });
    return notesOf(routed ? scoreOf(routed) : []).map(({ item }) => item);
  };
  for (const mode of ['easiest', 'overtones', 'shortTubes'] as const)
    for (const { fingered, kind } of routesTo(f5, alto)) {
      const notes = line(new Map([[f5, fingered]]), mode).filter(({ writtenMidi: midi }) => midi === f5);
      expect(notes.length).toBeGreaterThan(0);
      for (const note of notes) expect(note.fingered, mode).toBe(kind === 'regular' ? null : fingered);
    }
  expect(line(new Map([[f5, writtenMidi(60)]]), 'overtones')).toEqual(line(new Map(), 'overtones'));
  const pins = new Map([
    [f5, writtenMidi(58)],
    [writtenMidi(86), writtenMidi(79)],
  ]);
  expect(pinsWord(pins)).toBe('77-58.86-79');
  expect(readPins(pinsWord(pins))).toEqual(pins);
  expect(readPins('77-58.nonsense.9-9')).toEqual(new Map([[f5, writtenMidi(58)]]));
});

it('takes a scale over one octave up and down, or as far as it goes', () => {
  const notes = (isOneOctave: boolean) => {
    const routed = routedLine({
      horn: alto,
      key: 'Bb',
      line: null,
      mode: 'overtones',
      tries: [],
      ...FREELY,
      isOneOctave,
    });
    return notesOf(routed ? scoreOf(routed) : []).map(({ item }) => Number(item.writtenMidi));
  };
  const one = notes(true);
  expect(one).toEqual([...one].toReversed());
  expect(Math.max(...one) - Math.min(...one)).toBe(12);
  expect(one).toHaveLength(15);
  expect(notes(false).length).toBeGreaterThan(15);
});
