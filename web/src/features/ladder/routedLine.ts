import {
  familyById,
  isInKey,
  liftFifth,
  noteWithoutFifth,
  notesOf,
  routeExercise,
  scoreOf,
  thereAndBack,
  type Exercise,
  type MajorKey,
} from '@inner-hum/core/exercise';
import {
  allowedRoutes,
  FIRST_SHORT_TUBE,
  LAST_SHORT_TUBE,
  routeChance,
  ROUTE_MODES,
  writtenMidi,
  type Horn,
  type Route,
  type WrittenMidi,
} from '@inner-hum/core/horn';
import { rungOf, type RungTry } from '@inner-hum/core/plan';

/** How a line is taken: through routes, or plain and then by the same fingers a fifth higher. */
export const LINE_MODES = [...ROUTE_MODES, 'lift'] as const;
export type LineMode = (typeof LINE_MODES)[number];

const OCTAVE = 12;

interface LineRequest {
  horn: Horn;
  key: MajorKey;
  /** An exercise instead of a scale. */
  line: Exercise | null;
  mode: LineMode;
  tries: readonly RungTry[];
  /** Notes that the player wants fingered as this one. */
  pinned: ReadonlyMap<WrittenMidi, WrittenMidi>;
  /** Of a scale: no more than its first octave. */
  isOneOctave: boolean;
}

/** How likely a route speaks for this player. */
export function chanceFor(tries: readonly RungTry[]) {
  return (route: Route) => routeChance(route, rungOf(route.fingered, route.partial, tries));
}

/** The notes of a key that overblow a fifth, up and down. */
function notesToLift(key: MajorKey): WrittenMidi[] {
  const up = Array.from({ length: LAST_SHORT_TUBE - FIRST_SHORT_TUBE + 1 }, (_, i) =>
    writtenMidi(FIRST_SHORT_TUBE + i),
  ).filter((midi) => isInKey(midi, key));
  return thereAndBack(up);
}

/** The scale of a key as far as a mode goes, by its own fingers; null where the range has no room for it. */
function scaleOf({ horn, key, mode, isOneOctave }: LineRequest): Exercise | null {
  const family = familyById('overtoneScale');
  if (!family?.options(horn)) return null;
  const isLift = mode === 'lift';
  const scale = family.build(horn, { key, route: isLift || mode === 'alternate' ? 'easiest' : mode });
  const [first, ...others] = notesOf(scoreOf(scale)).map(({ item }) => ({ ...item, fingered: null }));
  const items = isLift
    ? notesToLift(key).map((midi, i) => ({ ...(i === 0 ? first : others[0]), writtenMidi: midi }))
    : [first, ...others];
  const lowest = Math.min(...items.map(({ writtenMidi: midi }) => midi));
  const within = items.filter(({ writtenMidi: midi }) => !isOneOctave || midi <= lowest + OCTAVE);
  // Up to the octave and down again: what was the turn of the whole scale is gone, and its neighbours are one note.
  const once = within.filter((item, i) => i === 0 || item.writtenMidi !== within[i - 1].writtenMidi);
  return { ...scale, phrases: [{ ...scale.phrases[0], items: once }] };
}

/** A scale or an exercise through routes; null where it has none in this mode, or the range has no room for such a scale. */
export function routedLine(request: LineRequest): Exercise | null {
  const { horn, line, mode, tries, pinned } = request;
  const plain = line ?? scaleOf(request);
  if (!plain) return null;
  return mode === 'lift'
    ? liftFifth(plain)
    : routeExercise(plain, { horn, mode, chanceOf: chanceFor(tries), pinned });
}

/** The first note of a line that has no route in a mode; null where the line itself has no room. */
export function noteWithoutRoute(request: LineRequest): WrittenMidi | null {
  const { horn, line, mode } = request;
  const plain = line ?? scaleOf(request);
  if (!plain) return null;
  if (mode === 'lift') return noteWithoutFifth(plain);
  const notes = notesOf(scoreOf(plain)).map(({ item }) => item.writtenMidi);
  return notes.find((note) => allowedRoutes(note, horn, mode).length === 0) ?? null;
}

/** Pinned notes as they stand in an address: "86-79.88-81". What is no such pair is left out. */
export const readPins = (word: string): Map<WrittenMidi, WrittenMidi> =>
  new Map(
    [...word.matchAll(/(\d{2,3})-(\d{2,3})/g)].map(([, note, fingered]) => [
      writtenMidi(Number(note)),
      writtenMidi(Number(fingered)),
    ]),
  );
export const pinsWord = (pins: ReadonlyMap<WrittenMidi, WrittenMidi>): string =>
  [...pins].map(([note, fingered]) => `${note}-${fingered}`).join('.');
