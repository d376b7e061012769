import type { FamilyId } from '../exercise/index.ts';
import type { Horn } from '../horn/index.ts';
import { needOf, type Need } from './need.ts';
import type { Practised, Zone } from './practised.ts';
import { openingItems, sheetItems, type SheetItem } from './sheetItems.ts';

/** What the player is after: a school of the craft. */
export const AIMS = ['zones', 'range', 'swells', 'overtones', 'low', 'line'] as const;
export type Aim = (typeof AIMS)[number];

/** Why a line stands on the sheet, with its figures. */
export type Reason =
  | { kind: 'opening' }
  | { kind: 'fresh'; zone: Zone }
  | { kind: 'fails'; zone: Zone; judged: number; asWritten: number; days: number }
  | { kind: 'waited'; zone: Zone; days: number }
  | { kind: 'zone'; zone: Zone; days: number }
  | { kind: 'free' };

/** One line of a day's sheet; `family` null is free playing. */
export interface SheetLine {
  /** What it is known by on this sheet, and when it is put aside. */
  key: string;
  family: FamilyId | null;
  item: SheetItem | null;
  seconds: number;
  reason: Reason;
}

export interface SheetRequest {
  horn: Horn;
  minutes: number;
  aim: Aim;
  history: readonly Practised[];
  /** In ms; the day is that of `dayNumber`. */
  now: number;
  dayNumber: number;
  /** What is left of today's limits; null: no limit. */
  highSeconds: number | null;
  loudSeconds: number | null;
  /** Keys of lines that stay, and that are not wanted today. */
  kept: readonly string[];
  notToday: readonly string[];
}

/** How much a family matters to an aim, against 1 of any other. */
const MATTERS: Record<Aim, Partial<Record<FamilyId, number>>> = {
  zones: {},
  range: { longHold: 2.5, fullScales: 2 },
  swells: { swell: 2.5, wideningDown: 3, pairedSwells: 3, quietDescent: 2 },
  overtones: { overtoneHits: 3, overtoneEar: 3, overtoneClimb: 3, octaveRestart: 1.5 },
  low: { octaveRestart: 2.5, quietDescent: 2.5, returnToBottom: 2.5, fullToSubtone: 2 },
  line: { fullScales: 3, breakDrill: 2.5, returnToBottom: 1.5 },
};

const GROUPS: readonly (readonly Zone[])[] = [['low'], ['middle'], ['high', 'palm', 'altissimo']];
/** Lip and ear rest as part of the sheet. */
const REST_SECONDS = { heavy: 25, light: 10 };
/** High playing is at most this share of a sheet. */
const MOST_HIGH = 0.3;
/** A little free play: at least this share and at most that, as things come out. */
const FREE_SHARE = 0.06;

/** Against this share of success something fails. */
const FAILS = 0.7;
const LONG_DAYS = 3;

interface Wanted {
  key: string;
  item: SheetItem;
  need: Need;
  worth: number;
}

const keyOf = ({ family, zone }: SheetItem) => `${family}/${zone}`;
const isHigh = ({ zone }: SheetItem) => zone === 'palm' || zone === 'altissimo';
const total = ({ seconds, isHeavy }: SheetItem) =>
  seconds + (isHeavy ? REST_SECONDS.heavy : REST_SECONDS.light);

/**
 * Today's sheet for so many minutes: begins with air and an easy middle note, holds something low, middle and high, alternates heavy and
 * light, keeps its rests, stays inside the limits, and leaves a little free play. What needs practice most comes in; what was put aside
 * does not. The same request gives the same sheet.
 */
export function todaySheet(request: SheetRequest): SheetLine[] {
  const { horn, minutes, history, now, dayNumber, aim, kept, notToday } = request;
  const budget = 60 * minutes;
  const opening = openingItems(horn, dayNumber);
  const wanted = sheetItems(horn, dayNumber)
    .map((item): Wanted => {
      const key = keyOf(item);
      const need = needOf(item.family, item.zone, history, now);
      const stays = kept.includes(key) ? 10 : 0;
      return { key, item, need, worth: need.need * (MATTERS[aim][item.family] ?? 1) + stays };
    })
    .filter(({ key }) => !notToday.includes(key))
    .toSorted((a, b) => b.worth - a.worth || a.key.localeCompare(b.key));
  const room = budget * (1 - FREE_SHARE) - opening.reduce((sum, item) => sum + total(item), 0);
  const chosen = choose(wanted, room, request);
  const lines = [
    ...opening.map((item): SheetLine => ({
      key: `opening/${item.family}`,
      family: item.family,
      item,
      seconds: total(item),
      reason: { kind: 'opening' },
    })),
    ...alternate(chosen).map((each): SheetLine => ({
      key: each.key,
      family: each.item.family,
      item: each.item,
      seconds: total(each.item),
      reason: reasonOf(each),
    })),
  ];
  const free = budget - lines.reduce((sum, { seconds }) => sum + seconds, 0);
  return [
    ...lines,
    { key: 'free', family: null, item: null, seconds: Math.max(0, free), reason: { kind: 'free' } },
  ];
}

/** One of each zone first, then what is worth most, as far as time and limits go. */
function choose(wanted: readonly Wanted[], room: number, request: SheetRequest): Wanted[] {
  const chosen: Wanted[] = [];
  let left = room;
  const mostHigh = Math.min(MOST_HIGH * 60 * request.minutes, request.highSeconds ?? Infinity);
  const fits = ({ item }: Wanted) => {
    const sum = (test: (other: SheetItem) => boolean) =>
      chosen.filter((each) => test(each.item)).reduce((all, each) => all + each.item.seconds, 0);
    if (total(item) > left) return false;
    if (isHigh(item) && sum(isHigh) + item.seconds > mostHigh) return false;
    const loud = (other: SheetItem) => other.isLoud;
    return !item.isLoud || sum(loud) + item.seconds <= (request.loudSeconds ?? Infinity);
  };
  const take = (each: Wanted) => {
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
    const again = chosen.some((other) => other.key === each.key);
    const family = chosen.filter((other) => other.item.family === each.item.family).length;
    if (!again && family < 2 && fits(each)) take(each);
  }
  return chosen;
}

/** Heavy and light in turn, each by worth, as long as there are both. */
function alternate(chosen: readonly Wanted[]): Wanted[] {
  const sorted = chosen.toSorted((a, b) => b.worth - a.worth || a.key.localeCompare(b.key));
  const [heavy, light] = [
    sorted.filter(({ item }) => item.isHeavy),
    sorted.filter(({ item }) => !item.isHeavy),
  ];
  const lines: Wanted[] = [];
  // What there is more of begins, so that two of a kind are next to each other as rarely as can be.
  let turn = heavy.length > light.length;
  while (heavy.length + light.length > 0) {
    const next = (turn ? heavy : light).shift() ?? (turn ? light : heavy).shift();
    if (next) lines.push(next);
    turn = !(lines.at(-1)?.item.isHeavy ?? false);
  }
  return lines;
}

function reasonOf({ item: { zone }, need: { judged, asWritten, daysSince } }: Wanted): Reason {
  if (daysSince === null) return { kind: 'fresh', zone };
  const days = Math.floor(daysSince);
  if (judged > 0 && asWritten < FAILS * judged) return { kind: 'fails', zone, judged, asWritten, days };
  return { kind: days >= LONG_DAYS ? 'waited' : 'zone', zone, days };
}
