import { familyById, type FamilyId, skillOf } from '../exercise/index.ts';
import type { WrittenMidi } from '../horn/index.ts';
import { zoneOfNote, type Zone } from '../practice/index.ts';
import { gateStates } from './gates.ts';
import { needOf, type Need } from './need.ts';
import type { PracticeHistory } from './practiceHistory.ts';
import { MATTERS, schoolItems, type SchoolItems } from './schools.ts';
import { keyOf, sheetItems, type PickNotes, type SheetItem } from './sheetItems.ts';
import type { Focus, SheetRequest } from './sheetRequest.ts';

/** Something that may stand on the sheet, and what it is worth there. */
export interface Candidate {
  /** One of the player's own aims is about it. */
  isAimed: boolean;
  item: SheetItem;
  need: Need;
  worth: number;
  isSchool: boolean;
}

/** What stays, and what a school asks for, comes before any need. */
const STAYS = 20;
/** How much more something matters that an own aim is about. */
const AIMED = 2.5;
const SCHOOL = 10;

const isAbout = (focus: Focus, family: FamilyId, zone: Zone) =>
  (focus.family === null || focus.family === family) &&
  (focus.skill === null || focus.skill === skillOf(family)) &&
  (focus.zone === null || focus.zone === zone) &&
  (focus.midi === null || zoneOfNote(focus.midi) === zone);

/** Everything that may stand on the sheet, each on the note that needs it most, with what it is worth. */
export function candidatesOf(
  request: SheetRequest,
  history: PracticeHistory,
): { candidates: Candidate[]; covered: SchoolItems['covered'] } {
  const { horn, aim, kept, now, dayStart, dayNumber, focus } = request;
  const needFor = (family: FamilyId, zone: Zone, midi: WrittenMidi | null) =>
    needOf({ family, zone, midi }, history, now, dayStart);
  const pick: PickNotes = (family, zone, notes) => {
    const first =
      notes.find((midi) => kept.includes(keyOf(family, zone, midi))) ??
      notes.find((midi) => focus.some((each) => each.midi === midi && isAbout(each, family, zone)));
    // Among equals another base note each day.
    const turned = notes.map((_, i) => notes[(i + dayNumber) % notes.length]);
    const needs = new Map(turned.map((midi) => [midi, needFor(family, zone, midi).need]));
    const wanted = turned.toSorted((a, b) => (needs.get(b) ?? 0) - (needs.get(a) ?? 0));
    return first === undefined ? wanted : [first, ...wanted.filter((midi) => midi !== first)];
  };
  const school = schoolItems({
    horn,
    aim,
    family: request.family,
    seconds: 60 * request.minutes,
    day: dayNumber,
    history,
    now,
    kept,
    pick,
  });
  const schooled = new Set(school.items.map(({ key }) => key));
  const shut = new Set(
    gateStates(request.history, request.experience, request.openGates)
      .filter(({ isOpen }) => !isOpen)
      .map(({ gate }) => gate),
  );
  /** What waits behind a gate comes by an own aim alone; a school is chosen, and is a wish too. */
  const isOpen = ({ family, zone }: SheetItem) => {
    const gate = familyById(family)?.gate ?? null;
    return gate === null || !shut.has(gate) || focus.some((each) => isAbout(each, family, zone));
  };
  const others = sheetItems(horn, dayNumber, pick).filter((item) => !schooled.has(item.key) && isOpen(item));
  const candidate = (item: SheetItem, extra: number, isSchool: boolean): Candidate => {
    const need = needFor(item.family, item.zone, item.midi);
    const stays = kept.includes(item.key) ? STAYS : 0;
    const isAimed = focus.some(
      (each) =>
        isAbout(each, item.family, item.zone) &&
        (each.midi === null || item.midi === null || each.midi === item.midi),
    );
    const matters = (MATTERS[aim][item.family] ?? 1) * (isAimed ? AIMED : 1);
    return { item, need, isSchool, isAimed, worth: need.need * matters + extra + stays };
  };
  return {
    candidates: [
      // In the order of the school.
      ...school.items.map((item, i) => candidate(item, SCHOOL - i / 10, true)),
      ...others.map((item) => candidate(item, 0, false)),
    ],
    covered: school.covered,
  };
}
