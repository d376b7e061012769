import {
  cautionsFor,
  completeChoices,
  extentOf,
  familyById,
  type Choices,
  type Family,
  type FamilyId,
} from '../exercise/index.ts';
import { isHighNote, writtenMidi, type Horn, type WrittenMidi } from '../horn/index.ts';
import { zoneOf, zoneOfNote, type Zone } from '../practice/index.ts';
import { lineTemplate, type LineTemplate } from './lineTemplate.ts';

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
  lineTemplate('octaveRestart', true, LOW, (note) => ({ note, to: note, tempoBpm: 72 })),
  lineTemplate('quietDescent', true, null, () => ({ tempoBpm: 100 })),
  lineTemplate('returnToBottom', false, LOW, (note) => ({ note, climb: 3, tempoBpm: 80 })),
  lineTemplate('fullToSubtone', false, LOW, (note) => ({ note, to: note })),
  lineTemplate('lowTwoWays', true, null, () => ({ tries: 1 })),
  lineTemplate('subtoneLine', false, null, () => ({ path: 'down', tempoBpm: 80 })),
  lineTemplate('vowelSweep', false, LOW, (note) => ({ note, tries: 2 })),
  lineTemplate('longHold', false, LOW, (note) => ({ note, beats: 16, tries: 2 })),
  lineTemplate('pairedSwells', true, LOW, (note) => ({ note, to: note, tempoBpm: 60 })),
  lineTemplate('swell', false, MIDDLE, (note) => ({ note, beats: 8 })),
  lineTemplate('longHold', false, MIDDLE, (note) => ({ note, beats: 16, tries: 2 })),
  // A hairpin on the three notes on which it goes worst: which of them work at once is asked again.
  lineTemplate('chromaticTones', false, MIDDLE, (_note, _day, wanted) => ({
    notes: wanted
      .slice(0, 3)
      .toSorted((a, b) => a - b)
      .join('.'),
    shape: 'fade',
    beats: 6,
  })),
  lineTemplate('vibratoTones', false, MIDDLE, (note) => ({ note })),
  lineTemplate('breakDrill', true, null, () => ({ tempoBpm: 80 })),
  lineTemplate('intervalTones', false, LOW, (note) => ({ note, widest: 3, freeBeats: 0, tempoBpm: 80 })),
  lineTemplate('overtoneHits', true, LOW, (note, day) => ({ note, partial: 2 + (day % 3) })),
  lineTemplate('overtoneEar', false, LOW, (note, day) => ({ note, partial: 2 + (day % 3), tries: 2 })),
  lineTemplate('overtoneClimb', true, LOW, (note) => ({ note, partial: 3 })),
  // All ten bases in three days.
  lineTemplate('fifths', true, FIFTHS, (note) => ({ note, to: note + 3 })),
  lineTemplate('ladderHolds', true, LOW, (note) => ({ note, partial: 2, tries: 1 })),
  lineTemplate('alternation', true, LOW, (note) => ({ note, tries: 1 })),
  lineTemplate('tubeLoop', true, LOW, (note) => ({ note, to: note, partial: 3, rounds: 'two' })),
  lineTemplate('swell', false, HIGH, (note) => ({ note, beats: 8 })),
  lineTemplate('longHold', false, HIGH, (note) => ({ note, beats: 16, tries: 2 })),
  lineTemplate('fullScales', true, null, (_, day) => ({ key: turn(KEYS, day) })),
  lineTemplate('wideningDown', true, HIGH, (note) => ({ note, widest: 3, tempoBpm: 72 })),
  lineTemplate('longHold', true, PALM, (note) => ({ note, beats: 12, tries: 2 })),
  lineTemplate('swell', true, PALM, (note) => ({ note, beats: 8 })),
  lineTemplate('highTries', true, ALTISSIMO, (note) => ({ note, tries: 6 })),
];

/** Long tones along the horn, for time that is left. */
const FILLERS: readonly LineTemplate[] = [60, 67, 74].map((first) =>
  lineTemplate('chromaticTones', false, [first], (note) => ({ note, to: note + 6, beats: 8 })),
);

const OPENING: readonly LineTemplate[] = [
  lineTemplate('airThenNote', false, null, () => ({ beats: 4, tries: 2 })),
  lineTemplate('longHold', false, [67, 69, 71], (note) => ({ note, beats: 12, tries: 1 })),
];

/** Without a better reason another note each day. */
const byTheDay =
  (day: number): PickNotes =>
  (_family, _zone, notes) =>
    notes.map((_, i) => turn(notes, day + i));

/** How templates become lines: on which notes, and how much slower than usual. */
interface LineSetting {
  pick?: PickNotes;
  tempoShare?: number;
}

/** The tempo of a drill as a share of its usual one, as far as the drill goes so slowly. */
function atTempo(family: Family, horn: Horn, choices: Choices, share: number): Choices {
  const { tempoBpm } = completeChoices(family.options(horn) ?? {}, choices);
  if (share === 1 || tempoBpm === undefined) return choices;
  const least = family.options(horn)?.tempoBpm;
  const slowest = least && 'least' in least ? least.least : 0;
  return { ...choices, tempoBpm: Math.max(slowest, Math.round(share * Number(tempoBpm))) };
}

/** What templates make on a day; what the range has no room for is left out. */
export function buildLines(
  templates: readonly LineTemplate[],
  horn: Horn,
  day: number,
  { pick = byTheDay(day), tempoShare = 1 }: LineSetting = {},
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
    const choices = atTempo(family, horn, choose(midi ?? 0, day, wanted), tempoShare);
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
export const sheetItems = (horn: Horn, day: number, setting?: LineSetting) =>
  buildLines(TEMPLATES, horn, day, setting);

/** Long tones along the horn on a day, known apart from the same ones that a plan asks for. */
export const fillerItems = (horn: Horn, day: number, tempoShare: number) =>
  buildLines(FILLERS, horn, day, { tempoShare }).map((item) => ({ ...item, key: `more/${item.key}` }));

/** How a sheet begins: air, then an easy middle note. */
export const openingItems = (horn: Horn, day: number) =>
  buildLines(OPENING, horn, day).map((item) => ({ ...item, key: `opening/${item.family}` }));

/** Lists of notes, one a zone, lowest first. */
export const NOTES_BY_ZONE: readonly (readonly number[])[] = [LOW, MIDDLE, HIGH, PALM];

/** Palm keys and above: the lip rests after it. */
export const isHigh = ({ zone }: Pick<SheetItem, 'zone'>) => zone === 'palm' || zone === 'altissimo';
