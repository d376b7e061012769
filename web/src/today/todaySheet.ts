import { familyById, type Gate } from '@inner-hum/core/exercise';
import type { Horn } from '@inner-hum/core/horn';
import {
  gateStates,
  pathOf,
  pathProgress,
  todaySheet,
  wentBadly,
  type GateState,
  type PathProgress,
  type SheetRequest,
  type SheetLine,
} from '@inner-hum/core/plan';
import { FIGURES, isFigure } from '@inner-hum/core/figures';
import { unpackNotes, zoneOfNote, type PractisedNote } from '@inner-hum/core/practice';
import { differenceInCalendarDays, startOfDay, subDays } from 'date-fns';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import {
  changeSheet,
  dayOf,
  dueChecks,
  listAims,
  lineDone,
  listHornChecks,
  listPractice,
  readSettings,
  readSheetOf,
  playingLoadSince,
  type AimRecord,
  takesAtRisk,
  type DueCheck,
  type SettingsRecord,
  type SheetRecord,
} from '../storage/index.ts';
import { askedDrill, drillAddress, playersHorn, withSearch } from '../addresses/index.ts';
import { readRoutine } from './routine.ts';

/** Days are counted from here. */
const FIRST_DAY = new Date(2020, 0, 1);
/** A plan looks back so many days. */
const LOOKS_BACK_DAYS = 120;

export interface Today {
  settings: SettingsRecord;
  horn: Horn;
  sheet: SheetRecord;
  lines: SheetLine[];
  /** What was practised on the day of the sheet. */
  since: PractisedNote[];
  /** What the player wants to reach. */
  aims: AimRecord[];
  /** What waits until something it is built on goes well, and how far that is. */
  shut: GateState[];
  /** What has opened by what was played and is not written down yet: it stays open, however long ago that will be. */
  earned: Gate[];
  /** How far the path has come that is followed; null: none is. */
  progress: PathProgress | null;
  /** What the sheet is planned from. */
  request: SheetRequest;
  /** Checks of the horn that are due. */
  due: DueCheck[];
  /** Takes that are nowhere but in this browser, where it is time to save them; else 0. */
  atRisk: number;
  /** Whether there is anything in the player's own routine, where that is the aim. */
  hasRoutine: boolean;
}

const secondsLeft = (cap: number | null, played: number) =>
  cap === null ? null : Math.max(0, 60 * cap - played);

async function readToday(day: number) {
  const settings = await readSettings();
  const sheet = await readSheetOf(day);
  const { source, hornId } = settings;
  const from = dayOf(subDays(day, LOOKS_BACK_DAYS));
  const practice = (await listPractice(source, from, sheet.day)).filter((each) => each.hornId === hornId);
  const notes = practice.flatMap(unpackNotes);
  const horn = playersHorn(settings);
  return {
    settings,
    sheet,
    notes,
    horn,
    // Every round there is stands behind it: read where it is asked for.
    routine: sheet.aim === 'own' ? await readRoutine(settings, horn, notes, sheet.plannedAt) : [],
    playingLoad: await playingLoadSince(startOfDay(sheet.plannedAt).getTime(), source, sheet.plannedAt),
    aims: (await listAims(hornId)).filter(({ doneAt }) => doneAt === null),
    due: dueChecks(await listHornChecks(hornId), settings.checkEveryDays, day),
    atRisk: await takesAtRisk(settings.archivedAt, day),
  };
}

/** Today's sheet as it stands; null while it is read. `day`: when it was opened, in ms. */
export function useToday(day: number): Today | null {
  const read = useLiveQuery(() => readToday(day), [day]);
  return useMemo(() => {
    if (!read) return null;
    const { settings, horn, sheet, notes, routine, playingLoad, aims, due, atRisk } = read;
    const { minutes, aim, family, plannedAt, kept, notToday, done } = sheet;
    const dayStart = startOfDay(plannedAt).getTime();
    const path = pathOf(aim);
    const place = (path && settings.paths[path]) ?? { step: 0, since: dayStart };
    const request: SheetRequest = {
      horn,
      minutes,
      aim,
      family,
      routine,
      // What was played to plan anew is known to it; what came since is not, so that the sheet stays.
      history: notes.filter(({ at }) => at < plannedAt),
      now: plannedAt,
      dayStart,
      dayNumber: differenceInCalendarDays(plannedAt, FIRST_DAY),
      highSeconds: secondsLeft(settings.caps.highMinutes, playingLoad.highSeconds),
      loudSeconds: secondsLeft(settings.caps.loudMinutes, playingLoad.loudSeconds),
      // What is done stays, whatever is planned anew.
      kept: [...kept, ...done],
      notToday,
      experience: settings.experience,
      openGates: settings.openGates,
      path: place,
      wishes: settings.planWishes,
      focus: aims.map(({ goal: { measure, scope } }) => ({
        ...scope,
        skill: isFigure(measure) ? FIGURES[measure].skill : null,
      })),
    };
    const since = notes.filter(({ at }) => at >= dayStart);
    const gates = gateStates(notes, settings.experience, settings.openGates);
    return {
      settings,
      horn,
      sheet,
      lines: todaySheet(request),
      since,
      aims,
      progress: path && pathProgress(path, place, notes),
      request,
      shut: gates.filter(({ isOpen }) => !isOpen),
      earned: gates.flatMap(({ gate, isEarned }) =>
        isEarned && !settings.openGates.includes(gate) ? [gate] : [],
      ),
      due,
      atRisk,
      hasRoutine: routine.length > 0,
    };
  }, [read]);
}

/** An address of the Stand that says which line of today's sheet is played there. */
export const withLine = (address: string, key: string) => withSearch(address, 'sheet', key);

/** Where a line is played. The address says which line it is. */
export function lineAddress({ family: id, item, exerciseId, key }: SheetLine, horn: Horn): string {
  if (exerciseId) return withLine(`/stand/own/${exerciseId}`, key);
  const family = id && familyById(id);
  return family ? withLine(drillAddress(family, horn, item?.choices ?? {}), key) : '/stand';
}

/** Where lines of a sheet are given to somebody else. */
export function giveAddress(lines: readonly SheetLine[], horn: Horn): string {
  const search = new URLSearchParams();
  for (const { family: id, item, exerciseId } of lines) {
    const family = id && familyById(id);
    if (exerciseId) search.append('of', `own.${exerciseId}`);
    else if (family) search.append('of', askedDrill(family, horn, item?.choices ?? {}));
  }
  return `/task/new?${search.toString()}`;
}

/** Whether a line is something to be played and done. */
export const isPlayable = ({ family, exerciseId }: SheetLine) => family !== null || exerciseId !== null;

/** How the notes of a line came today; null where none was judged. */
export function lineOutcome(
  { family, item }: SheetLine,
  since: readonly PractisedNote[],
): { judged: number; asWritten: number } | null {
  const own = since.filter(
    (note) =>
      family !== null &&
      note.family === family &&
      (item === null || item.midi === null || note.fingeredMidi === item.midi || zoneHolds(item, note)),
  );
  return own.length === 0
    ? null
    : { judged: own.length, asWritten: own.filter(({ asWritten }) => asWritten).length };
}

/** A line that went badly. */
export interface BadLine {
  family: string;
  judged: number;
  asWritten: number;
}

/**
 * Marks a line as done. Where what was played of it since a moment (in ms) went badly, it is left until tomorrow and the rest of the
 * sheet planned anew: then that line is returned.
 */
export async function finishLine(
  { sheet, settings, lines }: Today,
  key: string,
  from: number,
): Promise<BadLine | null> {
  await lineDone(sheet, key);
  const family = lines.find((line) => line.key === key)?.family ?? null;
  const practice = await listPractice(settings.source, sheet.day, sheet.day);
  const tries = practice
    .filter(({ hornId }) => hornId === settings.hornId)
    .flatMap(unpackNotes)
    .filter((note) => note.at >= from && note.family === family);
  if (family === null || !wentBadly(tries)) return null;
  await changeSheet(sheet, { plannedAt: Date.now() });
  return {
    family,
    judged: tries.length,
    asWritten: tries.filter(({ asWritten }) => asWritten).length,
  };
}

/** A line on one note may go to its neighbours as well. */
const zoneHolds = ({ family, zone }: NonNullable<SheetLine['item']>, note: PractisedNote) =>
  family !== 'longHold' && family !== 'swell' && zoneOfNote(note.fingeredMidi) === zone;

/** The line that comes after one on the sheet, of those that are not done; null where that was the last. */
export function lineAfter({ lines, sheet }: Today, key: string): SheetLine | null {
  const open = lines.filter((line) => line.key === key || !sheet.done.includes(line.key));
  return open.at(open.findIndex((line) => line.key === key) + 1) ?? null;
}
