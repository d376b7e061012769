import { extentOf, familyById, strainsOf, type Choices, type FamilyId } from '../exercise/index.ts';
import type { Horn } from '../horn/index.ts';
import { zoneOf, type Zone } from './practised.ts';

/** Something that may stand on a sheet. */
export interface SheetItem {
  family: FamilyId;
  choices: Choices;
  zone: Zone;
  /** Tires lip or breath: is followed by something light. */
  isHeavy: boolean;
  seconds: number;
  isLoud: boolean;
}

type Maker = [family: FamilyId, isHeavy: boolean, choices: (day: number) => Choices];

/** One of several, another one each day. */
const turn =
  <Value>(...values: readonly Value[]) =>
  (day: number): Value =>
    values[((day % values.length) + values.length) % values.length];

const low = turn(58, 60, 62, 59, 61);
const middle = turn(67, 71, 69, 65, 72);
const high = turn(76, 81, 79, 83, 74);
const palm = turn(86, 88, 87, 89);
const key = turn('C', 'F', 'G', 'Bb', 'D', 'Eb', 'A', 'Ab', 'E', 'Db', 'B', 'F#');

/** In short versions, a minute or two each: base notes go round by the day. */
const MAKERS: readonly Maker[] = [
  ['octaveRestart', true, (day) => ({ note: low(day), to: low(day), tempoBpm: 72 })],
  ['quietDescent', true, () => ({ tempoBpm: 100 })],
  ['returnToBottom', false, (day) => ({ note: low(day), climb: 3, tempoBpm: 80 })],
  ['fullToSubtone', false, (day) => ({ note: low(day), to: low(day) })],
  ['vowelSweep', false, (day) => ({ note: low(day), tries: 2 })],
  ['longHold', false, (day) => ({ note: low(day), beats: 16, tries: 2 })],
  ['pairedSwells', true, (day) => ({ note: low(day), to: low(day), tempoBpm: 60 })],
  ['swell', false, (day) => ({ note: middle(day), beats: 8 })],
  ['longHold', false, (day) => ({ note: middle(day), beats: 16, tries: 2 })],
  ['vibratoTones', false, (day) => ({ note: middle(day) })],
  ['breakDrill', true, () => ({ tempoBpm: 80 })],
  ['intervalTones', false, (day) => ({ note: low(day), widest: 3, freeBeats: 0, tempoBpm: 80 })],
  ['overtoneHits', true, (day) => ({ note: low(day), partial: 2 + (day % 3) })],
  ['overtoneEar', false, (day) => ({ note: low(day), partial: 2 + (day % 3), tries: 2 })],
  ['overtoneClimb', true, (day) => ({ note: low(day), partial: 3 })],
  ['swell', false, (day) => ({ note: high(day), beats: 8 })],
  ['longHold', false, (day) => ({ note: high(day), beats: 16, tries: 2 })],
  ['fullScales', true, (day) => ({ key: key(day) })],
  ['wideningDown', true, (day) => ({ note: high(day), widest: 3, tempoBpm: 72 })],
  ['longHold', true, (day) => ({ note: palm(day), beats: 12, tries: 2 })],
  ['swell', true, (day) => ({ note: palm(day), beats: 8 })],
  ['highTries', true, (day) => ({ note: 90 + (day % 4), tries: 6 })],
];

/** What the makers make on a day; what the range has no room for is left out. */
function made(makers: readonly Maker[], horn: Horn, day: number): SheetItem[] {
  return makers.flatMap(([id, isHeavy, choose]): SheetItem[] => {
    const family = familyById(id);
    if (!family?.options(horn)) return [];
    const choices = choose(day);
    const exercise = family.build(horn, choices);
    return [
      {
        family: id,
        choices,
        zone: zoneOf(exercise),
        isHeavy,
        seconds: extentOf(exercise).seconds,
        isLoud: strainsOf(exercise).includes('loud'),
      },
    ];
  });
}

/** Everything that may stand on a day's sheet, on a horn whose range is the player's own. `day`: any whole number that counts days. */
export const sheetItems = (horn: Horn, day: number) => made(MAKERS, horn, day);

const easy = turn(71, 69, 67);
const OPENING: readonly Maker[] = [
  ['airThenNote', false, () => ({ beats: 4 })],
  ['longHold', false, (day) => ({ note: easy(day), beats: 12, tries: 1 })],
];

/** How a sheet begins: air, then an easy middle note. */
export const openingItems = (horn: Horn, day: number) => made(OPENING, horn, day);
