import { extentOf, familyById, cautionsFor, type Choices, type FamilyId } from '../exercise/index.ts';
import { isHighNote, writtenMidi, type Horn, type WrittenMidi } from '../horn/index.ts';
import { zoneOf, zoneOfNote, type Zone } from '../practice/index.ts';

/** Something that may stand on a sheet. */
export interface SheetItem {
  /** What it is known by on this sheet. */
  key: string;
  /** Family and zone: what is put aside for a day. */
  familyAndZone: string;
  family: FamilyId;
  choices: Choices;
  zone: Zone;
  /** The note it is on; null where it is of several. */
  midi: WrittenMidi | null;
  /** Tires lip or breath: is followed by something light. */
  isHeavy: boolean;
  seconds: number;
  isLoud: boolean;
}

/** What a sheet may ask for: on one of several notes, or (null) on its own. */
export interface LineTemplate {
  family: FamilyId;
  isHeavy: boolean;
  notes: readonly number[] | null;
  /** `note` is the one of them it is on; `wanted` all of them, the most wanted first. */
  choices(note: number, day: number, wanted: readonly number[]): Choices;
}

const slotOf = (family: FamilyId, zone: Zone) => `${family}/${zone}`;
/** What a line on one note is known by. */
export const keyOf = (family: FamilyId, zone: Zone, midi: WrittenMidi) => `${slotOf(family, zone)}/${midi}`;

/** A template's notes, the one it is on this time first, then as they are wanted. */
export type PickNotes = (family: FamilyId, zone: Zone, notes: readonly WrittenMidi[]) => WrittenMidi[];

const LOW = [57, 58, 59, 60, 61, 62];
const MIDDLE = [65, 67, 69, 71, 72];
const HIGH = [74, 76, 79, 81, 83];
/** Bases of overblown fifths. */
const FIFTHS = [74, 77, 80];
const PALM = [86, 87, 88, 89];
const ALTISSIMO = [90, 91, 92, 93];

const KEYS = ['C', 'F', 'G', 'Bb', 'D', 'Eb', 'A', 'Ab', 'E', 'Db', 'B', 'F#'];
const turn = <Value>(values: readonly Value[], day: number) =>
  values[((day % values.length) + values.length) % values.length];

/** In short versions, a minute or two each. */
const TEMPLATES: readonly LineTemplate[] = [
  template('octaveRestart', true, LOW, (note) => ({ note, to: note, tempoBpm: 72 })),
  template('quietDescent', true, null, () => ({ tempoBpm: 100 })),
  template('returnToBottom', false, LOW, (note) => ({ note, climb: 3, tempoBpm: 80 })),
  template('fullToSubtone', false, LOW, (note) => ({ note, to: note })),
  template('lowTwoWays', true, null, () => ({ tries: 1 })),
  template('subtoneLine', false, null, () => ({ path: 'down', tempoBpm: 80 })),
  template('vowelSweep', false, LOW, (note) => ({ note, tries: 2 })),
  template('longHold', false, LOW, (note) => ({ note, beats: 16, tries: 2 })),
  template('pairedSwells', true, LOW, (note) => ({ note, to: note, tempoBpm: 60 })),
  template('swell', false, MIDDLE, (note) => ({ note, beats: 8 })),
  template('longHold', false, MIDDLE, (note) => ({ note, beats: 16, tries: 2 })),
  // A hairpin on the three notes on which it goes worst: which of them work at once is asked again.
  template('chromaticTones', false, MIDDLE, (_note, _day, wanted) => ({
    notes: wanted
      .slice(0, 3)
      .toSorted((a, b) => a - b)
      .join('.'),
    shape: 'fade',
    beats: 6,
  })),
  template('vibratoTones', false, MIDDLE, (note) => ({ note })),
  template('breakDrill', true, null, () => ({ tempoBpm: 80 })),
  template('intervalTones', false, LOW, (note) => ({ note, widest: 3, freeBeats: 0, tempoBpm: 80 })),
  template('overtoneHits', true, LOW, (note, day) => ({ note, partial: 2 + (day % 3) })),
  template('overtoneEar', false, LOW, (note, day) => ({ note, partial: 2 + (day % 3), tries: 2 })),
  template('overtoneClimb', true, LOW, (note) => ({ note, partial: 3 })),
  // All ten bases in three days.
  template('fifths', true, FIFTHS, (note) => ({ note, to: note + 3 })),
  template('ladderHolds', true, LOW, (note) => ({ note, partial: 2, tries: 1 })),
  template('alternation', true, LOW, (note) => ({ note, tries: 1 })),
  template('tubeLoop', true, LOW, (note) => ({ note, to: note, partial: 3, rounds: 'two' })),
  template('swell', false, HIGH, (note) => ({ note, beats: 8 })),
  template('longHold', false, HIGH, (note) => ({ note, beats: 16, tries: 2 })),
  template('fullScales', true, null, (_, day) => ({ key: turn(KEYS, day) })),
  template('wideningDown', true, HIGH, (note) => ({ note, widest: 3, tempoBpm: 72 })),
  template('longHold', true, PALM, (note) => ({ note, beats: 12, tries: 2 })),
  template('swell', true, PALM, (note) => ({ note, beats: 8 })),
  template('highTries', true, ALTISSIMO, (note) => ({ note, tries: 6 })),
];

const OPENING: readonly LineTemplate[] = [
  template('airThenNote', false, null, () => ({ beats: 4, tries: 2 })),
  template('longHold', false, [67, 69, 71], (note) => ({ note, beats: 12, tries: 1 })),
];

function template(
  family: FamilyId,
  isHeavy: boolean,
  notes: readonly number[] | null,
  choices: LineTemplate['choices'],
): LineTemplate {
  return { family, isHeavy, notes, choices };
}

/** Without a better reason another note each day. */
const byTheDay =
  (day: number): PickNotes =>
  (_family, _zone, notes) =>
    notes.map((_, i) => turn(notes, day + i));

/** What templates make on a day; what the range has no room for is left out. */
export function buildLines(
  templates: readonly LineTemplate[],
  horn: Horn,
  day: number,
  pick = byTheDay(day),
): SheetItem[] {
  return templates.flatMap(({ family: id, isHeavy, notes, choices: choose }): SheetItem[] => {
    const family = familyById(id);
    if (!family?.options(horn)) return [];
    const there = (notes ?? [])
      .filter((note) => isHighNote(note) || (note >= horn.lowest && note <= horn.highest))
      .map(writtenMidi);
    if (notes && there.length === 0) return [];
    const first = there.at(0);
    // All notes of a template lie in the zone of its first.
    const wanted = first === undefined ? [] : pick(id, zoneOfNote(first), there);
    const midi = wanted.at(0) ?? null;
    const choices = choose(midi ?? 0, day, wanted);
    const exercise = family.build(horn, choices);
    const zone = first === undefined ? zoneOf(exercise) : zoneOfNote(first);
    return [
      {
        key: midi === null ? slotOf(id, zone) : keyOf(id, zone, midi),
        familyAndZone: slotOf(id, zone),
        family: id,
        choices,
        zone,
        midi,
        isHeavy,
        seconds: extentOf(exercise).seconds,
        isLoud: cautionsFor(exercise).includes('loud'),
      },
    ];
  });
}

/** Everything that may stand on a day's sheet, on a horn whose range is the player's own. `day`: any whole number that counts days. */
export const sheetItems = (horn: Horn, day: number, pick?: PickNotes) =>
  buildLines(TEMPLATES, horn, day, pick);

/** How a sheet begins: air, then an easy middle note. */
export const openingItems = (horn: Horn, day: number) =>
  buildLines(OPENING, horn, day).map((item) => ({ ...item, key: `opening/${item.family}` }));

/** Lists of notes, one a zone, lowest first. */
export const NOTES_BY_ZONE: readonly (readonly number[])[] = [LOW, MIDDLE, HIGH, PALM];
