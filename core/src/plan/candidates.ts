import { type FamilyId, skillOf } from '../exercise/index.ts';
import type { WrittenMidi } from '../horn/index.ts';
import { zoneOfNote, type Zone } from '../practice/index.ts';
import { gateOf, gateStates } from './gates.ts';
import { needOf, type Need } from './need.ts';
import type { PracticeHistory } from './practiceHistory.ts';
import { newTo, tempoShareOf } from './whatIsKnown.ts';
import { pathProgress, type PathProgress } from './paths.ts';
import { wishWeight } from './planWish.ts';
import { MATTERS, pathOf, schoolItems, type SchoolItems } from './schools.ts';
import { fillerItems, isHigh, keyOf, sheetItems, type PickNotes, type SheetItem } from './sheetItems.ts';
import type { Focus, SheetRequest } from './sheetRequest.ts';

/** Something that may stand on the sheet, and what it is worth there. */
export interface Candidate {
  /** One of the player's own aims is about it. */
  isAimed: boolean;
  item: SheetItem;
  need: Need;
  worth: number;
  isSchool: boolean;
  /** The player keeps it, or it is done. */
  stays: boolean;
  /** Never played before today. */
  isNew: boolean;
  /** Asks much of lip or breath, is high, or waited behind a gate. */
  isHard: boolean;
}

/** Everything that may stand on a sheet, and how far a school or a path has come. */
interface Candidates {
  candidates: Candidate[];
  /** Long tones for the time that is left over. */
  fillers: Candidate[];
  covered: SchoolItems['covered'];
  progress: PathProgress | null;
}

/** What stays, and what a school asks for, comes before any need. */
const STAYS = 20;
/** How much more something matters that an own aim is about. */
const AIMED = 2.5;
const SCHOOL = 10;
/** Written low C. */
const LOW_C = 60;

const isAbout = (focus: Focus, family: FamilyId, zone: Zone) =>
  (focus.family === null || focus.family === family) &&
  (focus.skill === null || focus.skill === skillOf(family)) &&
  (focus.zone === null || focus.zone === zone) &&
  (focus.midi === null || zoneOfNote(focus.midi) === zone);

/** Everything that may stand on the sheet, each on the note that needs it most, with what it is worth. */
export function candidatesOf(request: SheetRequest, history: PracticeHistory): Candidates {
  const { horn, aim, kept, now, dayStart, dayNumber, focus } = request;
  const needFor = (family: FamilyId, zone: Zone, midi: WrittenMidi | null) =>
    needOf({ family, zone, midi }, history, now, dayStart);
  const shut = new Set(
    gateStates(request.history, request.experience, request.openGates)
      .filter(({ isOpen }) => !isOpen)
      .map(({ gate }) => gate),
  );
  const pick: PickNotes = (family, zone, all) => {
    // The last notes down are hard as long as the ones above them do not stand.
    const easier = all.filter((midi) => midi >= LOW_C);
    const notes = shut.has('overtones') && easier.length > 0 ? easier : all;
    const first =
      notes.find((midi) => kept.includes(keyOf(family, zone, midi))) ??
      notes.find((midi) => focus.some((each) => each.midi === midi && isAbout(each, family, zone)));
    // Among equals another base note each day.
    const turned = notes.map((_, i) => notes[(i + dayNumber) % notes.length]);
    const needs = new Map(turned.map((midi) => [midi, needFor(family, zone, midi).need]));
    const wanted = turned.toSorted((a, b) => (needs.get(b) ?? 0) - (needs.get(a) ?? 0));
    return first === undefined ? wanted : [first, ...wanted.filter((midi) => midi !== first)];
  };
  const path = pathOf(aim);
  const progress = path && pathProgress(path, request.path ?? { step: 0, since: 0 }, request.history);
  const tempoShare = tempoShareOf(request.experience);
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
    tempoShare,
    progress,
  });
  const schooled = new Set(school.items.map(({ key }) => key));
  /** What waits behind a gate comes by an own aim alone; a school is chosen, and is a wish too. */
  const isOpen = (item: SheetItem) => {
    const gate = gateOf(item);
    return gate === null || !shut.has(gate) || focus.some((each) => isAbout(each, item.family, item.zone));
  };
  const others = sheetItems(horn, dayNumber, { pick, tempoShare }).filter(
    (item) => !schooled.has(item.key) && isOpen(item),
  );
  const isNew = newTo(request.history, dayStart, request.experience);
  /** What the player has opened and not yet played is what is waited for. */
  const isJustOpened = (item: SheetItem) => {
    const gate = gateOf(item);
    return gate !== null && request.openGates.includes(gate) && isNew(item.family);
  };
  const candidate = (item: SheetItem, extra: number, isSchool: boolean): Candidate => {
    const need = needFor(item.family, item.zone, item.midi);
    const stays = kept.includes(item.key);
    const isAimed = focus.some(
      (each) =>
        isAbout(each, item.family, item.zone) &&
        (each.midi === null || item.midi === null || each.midi === item.midi),
    );
    const matters =
      (MATTERS[aim][item.family] ?? 1) *
      (isAimed || isJustOpened(item) ? AIMED : 1) *
      wishWeight(request.wishes, need.skill, item.zone);
    return {
      item,
      need,
      isSchool,
      isAimed,
      worth: need.need * matters + extra + (stays ? STAYS : 0),
      stays,
      isNew: isNew(item.family),
      isHard: item.isHeavy || isHigh(item) || gateOf(item) !== null,
    };
  };
  return {
    candidates: [
      // In the order of the school.
      ...school.items.map((item, i) => candidate(item, SCHOOL - i / 10, true)),
      ...others.map((item) => candidate(item, 0, false)),
    ],
    fillers: fillerItems(horn, dayNumber, tempoShare)
      .filter(isOpen)
      .map((item) => candidate(item, 0, false)),
    covered: school.covered,
    progress,
  };
}
