import type { FamilyId } from '../exercise/index.ts';
import type { Horn, WrittenMidi } from '../horn/index.ts';
import type { PractisedNote, Skill, Zone } from '../practice/index.ts';
import { needOf, type Need, type Tally } from './need.ts';
import { practiceHistory, type PracticeHistory } from './practiceHistory.ts';
import { ownRoutine, type RoutineItem } from './ownRoutine.ts';
import { MATTERS, MOST_OF_SCHOOL, REST_SECONDS, schoolItems, type Aim, type SchoolItems } from './schools.ts';
import { openingItems, sheetItems, type PickNote, type SheetItem } from './sheetItems.ts';

/** Why a line stands on the sheet, with its figures; `midi` null: of a zone as a whole. */
export type Reason =
  | { kind: 'opening' }
  | { kind: 'fresh'; zone: Zone; midi: WrittenMidi | null }
  | {
      kind: 'fails';
      skill: Skill;
      zone: Zone;
      midi: WrittenMidi | null;
      judged: number;
      asWritten: number;
      days: number;
    }
  | { kind: 'waited' | 'zone'; zone: Zone; midi: WrittenMidi | null; days: number }
  | { kind: 'covers'; done: number; count: number }
  | { kind: 'school' }
  | { kind: 'routine'; days: number | null }
  | { kind: 'free' };

/** One line of a day's sheet. */
export interface SheetLine {
  /** What it is known by on this sheet; and family and zone: what is put aside for the day. */
  key: string;
  slot: string;
  /** Null for free playing and own exercises. */
  family: FamilyId | null;
  item: SheetItem | null;
  /** An exercise of the player's own. */
  exerciseId: string | null;
  seconds: number;
  reason: Reason;
}

export interface SheetRequest {
  horn: Horn;
  minutes: number;
  aim: Aim;
  /** Of the school of one family. */
  family: FamilyId | null;
  /** Of the player's own routine, in its order. */
  routine: readonly RoutineItem[];
  history: readonly PractisedNote[];
  /** In ms; the day is that of `dayNumber` and began at `dayStart`. */
  now: number;
  dayStart: number;
  dayNumber: number;
  /** What is left of today's limits; null: no limit. */
  highSeconds: number | null;
  loudSeconds: number | null;
  /** Keys of lines that stay; slots that are not wanted today. */
  kept: readonly string[];
  notToday: readonly string[];
}

const GROUPS: readonly (readonly Zone[])[] = [['low'], ['middle'], ['high', 'palm', 'altissimo']];
/** High playing is at most this share of a sheet. */
const MOST_HIGH = 0.3;
/** A little free play: at least this share and at most that, as things come out. */
const FREE_SHARE = 0.06;

/** Against this share of success something fails. */
const FAILS = 0.7;
/** Tries that say something of one note. */
const LEAST_TRIES = 3;
const LONG_DAYS = 3;
/** What stays, and what a school asks for, comes before any need. */
const STAYS = 20;
const SCHOOL = 10;

interface Candidate {
  item: SheetItem;
  need: Need;
  worth: number;
  isSchool: boolean;
}

const isHigh = ({ zone }: SheetItem) => zone === 'palm' || zone === 'altissimo';
const total = ({ seconds, isHeavy }: SheetItem) =>
  seconds + (isHeavy ? REST_SECONDS.heavy : REST_SECONDS.light);

/**
 * Today's sheet for so many minutes: begins with air and an easy middle note, holds something low, middle and high, alternates heavy and
 * light, keeps its rests, stays inside the limits, and leaves a little free play. On each note and skill what needs practice most comes in;
 * a school's own lines come first; what was put aside does not come. The player's own routine is played as it is, as far as the minutes
 * go. The same request gives the same sheet.
 */
export function todaySheet(request: SheetRequest): SheetLine[] {
  const { minutes, aim, now, routine } = request;
  const budget = 60 * minutes;
  const history = practiceHistory(request.history, now);
  const lines =
    aim === 'own' && routine.length > 0
      ? ownRoutine(routine, budget * (1 - FREE_SHARE), request.notToday, now)
      : plannedLines(request, history);
  const free = budget - lines.reduce((sum, { seconds }) => sum + seconds, 0);
  return [
    ...lines,
    {
      key: 'free',
      slot: 'free',
      family: null,
      item: null,
      exerciseId: null,
      seconds: Math.max(0, free),
      reason: { kind: 'free' },
    },
  ];
}

const lineOf = (item: SheetItem, reason: Reason): SheetLine => ({
  key: item.key,
  slot: item.slot,
  family: item.family,
  item,
  exerciseId: null,
  seconds: total(item),
  reason,
});

function plannedLines(request: SheetRequest, history: PracticeHistory): SheetLine[] {
  const { horn, dayNumber, notToday } = request;
  const budget = 60 * request.minutes;
  const opening = openingItems(horn, dayNumber);
  const { candidates, covered } = candidatesOf(request, history);
  const wanted = candidates
    .filter(({ item }) => !notToday.includes(item.slot))
    .toSorted((a, b) => b.worth - a.worth || a.item.key.localeCompare(b.item.key));
  const room = budget * (1 - FREE_SHARE) - opening.reduce((sum, item) => sum + total(item), 0);
  const chosen = choose(wanted, room, request);
  return [
    ...opening.map((item) => lineOf(item, { kind: 'opening' })),
    ...alternate(chosen).map((each) => lineOf(each.item, reasonOf(each, covered))),
  ];
}

/** Everything that may stand on the sheet, each on the note that needs it most, with what it is worth. */
function candidatesOf(
  request: SheetRequest,
  history: PracticeHistory,
): { candidates: Candidate[]; covered: SchoolItems['covered'] } {
  const { horn, aim, kept, now, dayStart, dayNumber } = request;
  const needFor = (family: FamilyId, zone: Zone, midi: WrittenMidi | null) =>
    needOf({ family, zone, midi }, history, now, dayStart);
  const pick: PickNote = (family, zone, notes) => {
    const stays = notes.find((midi) => kept.includes(`${family}/${zone}/${midi}`));
    if (stays !== undefined) return stays;
    // Among equals another base note each day.
    const turned = notes.map((_, i) => notes[(i + dayNumber) % notes.length]);
    const needs = new Map(turned.map((midi) => [midi, needFor(family, zone, midi).need]));
    return turned.toSorted((a, b) => (needs.get(b) ?? 0) - (needs.get(a) ?? 0))[0];
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
  const others = sheetItems(horn, dayNumber, pick).filter(({ key }) => !schooled.has(key));
  const candidate = (item: SheetItem, extra: number, isSchool: boolean): Candidate => {
    const need = needFor(item.family, item.zone, item.midi);
    const stays = kept.includes(item.key) ? STAYS : 0;
    return { item, need, isSchool, worth: need.need * (MATTERS[aim][item.family] ?? 1) + extra + stays };
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

/** One of each zone first, then what is worth most, as far as time and limits go. */
function choose(wanted: readonly Candidate[], room: number, request: SheetRequest): Candidate[] {
  const chosen: Candidate[] = [];
  let left = room;
  const { highSeconds, loudSeconds } = request;
  const mostSchool = MOST_OF_SCHOOL * 60 * request.minutes;
  const sum = (test: (each: Candidate) => boolean, seconds: (item: SheetItem) => number) =>
    chosen.filter(test).reduce((all, each) => all + seconds(each.item), 0);
  const playing = ({ seconds }: SheetItem) => seconds;
  const fits = ({ item, isSchool }: Candidate) => {
    if (total(item) > left) return false;
    if (isSchool && sum((each) => each.isSchool, total) + total(item) > mostSchool) return false;
    if (isHigh(item)) {
      // A school that plays high does so on purpose: only the player's own limit holds for it.
      const most = isSchool ? Infinity : MOST_HIGH * 60 * request.minutes;
      const high = sum((each) => isHigh(each.item), playing) + item.seconds;
      if (high > Math.min(most, highSeconds ?? Infinity)) return false;
    }
    const loud = sum((each) => each.item.isLoud, playing);
    return !item.isLoud || loud + item.seconds <= (loudSeconds ?? Infinity);
  };
  const take = (each: Candidate) => {
    chosen.push(each);
    left -= total(each.item);
  };
  for (const group of GROUPS) {
    const ofGroup = wanted.filter((each) => group.includes(each.item.zone) && !chosen.includes(each));
    // Where little time is left the shortest of a zone is better than none.
    const share = left / (GROUPS.length - GROUPS.indexOf(group));
    const first =
      ofGroup.find((each) => fits(each) && total(each.item) <= Math.max(share, 60)) ??
      ofGroup
        .filter(fits)
        .toSorted((a, b) => total(a.item) - total(b.item))
        .at(0);
    if (first) take(first);
  }
  for (const each of wanted) {
    const again = chosen.some((other) => other.item.key === each.item.key);
    const family = chosen.filter((other) => other.item.family === each.item.family).length;
    if (!again && (each.isSchool || family < 2) && fits(each)) take(each);
  }
  return chosen;
}

/** Heavy and light in turn, each by worth, as long as there are both. */
function alternate(chosen: readonly Candidate[]): Candidate[] {
  const sorted = chosen.toSorted((a, b) => b.worth - a.worth || a.item.key.localeCompare(b.item.key));
  const [heavy, light] = [
    sorted.filter(({ item }) => item.isHeavy),
    sorted.filter(({ item }) => !item.isHeavy),
  ];
  const lines: Candidate[] = [];
  // What there is more of begins, so that two of a kind are next to each other as rarely as can be.
  let turn = heavy.length > light.length;
  while (heavy.length + light.length > 0) {
    const next = (turn ? heavy : light).shift() ?? (turn ? light : heavy).shift();
    if (next) lines.push(next);
    turn = !(lines.at(-1)?.item.isHeavy ?? false);
  }
  return lines;
}

const fails = ({ judged, asWritten }: Tally) => judged >= LEAST_TRIES && asWritten < FAILS * judged;

/** The reason with the figure that says most: of the note where there are tries enough, else of its zone. */
function reasonOf(
  { item: { zone, midi }, need, isSchool }: Candidate,
  covered: SchoolItems['covered'],
): Reason {
  if (isSchool) return covered ? { kind: 'covers', ...covered } : { kind: 'school' };
  const { note, zone: inZone, skill } = need;
  for (const [tally, of] of [
    [note, midi],
    [inZone, null],
  ] as const)
    if (tally && fails(tally))
      return {
        kind: 'fails',
        skill,
        zone,
        midi: of,
        judged: tally.judged,
        asWritten: tally.asWritten,
        days: Math.floor(tally.daysSince ?? 0),
      };
  if (inZone.daysSince === null) return { kind: 'fresh', zone, midi: null };
  if (note && note.daysSince === null) return { kind: 'fresh', zone, midi };
  const days = Math.floor((note ?? inZone).daysSince ?? 0);
  return { kind: days >= LONG_DAYS ? 'waited' : 'zone', zone, midi: note ? midi : null, days };
}
