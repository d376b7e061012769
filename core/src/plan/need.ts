import { skillOf, type Skill } from '../exercise/index.ts';
import type { WrittenMidi } from '../horn/index.ts';
import { type Zone } from '../practice/index.ts';
import type { PracticeHistory, Tries } from './practiceHistory.ts';

/** The latest tries of something; `daysSince` null where it was never played. */
export interface Tally {
  judged: number;
  asWritten: number;
  daysSince: number | null;
}

/** How much something needs practice, and the figures that say so. */
export interface Need {
  /** 0 not at all - 1 most; before the aim has its say. */
  need: number;
  skill: Skill;
  /** Of this skill on the note, null where it is of no one note; and anywhere in its zone. */
  note: Tally | null;
  zone: Tally;
  /** It failed again and again lately, or today: it is left until tomorrow. */
  isResting: boolean;
}

/** What is to be practised: a family, where, and on which note (null: on all of its own). */
export interface Wanted {
  family: string;
  zone: Zone;
  midi: WrittenMidi | null;
}

const DAY_MS = 24 * 3600_000;
/** More tries than these are not looked back at. */
const LATEST_OF_NOTE = 10;
const LATEST_OF_ZONE = 20;
/** What has waited so long needs it twice in three. A single note keeps longer than its skill. */
const FORGETTING_DAYS = { zone: 3, note: 7 };
/** As sure as four tries: a zone before any is made, a note before it differs from its zone. */
const PRIOR_TRIES = 4;
const PRIOR_SHARE = 0.5;
/** So many sittings in so many days without success are enough for now. */
const OBSESSION_SITTINGS = 3;
const OBSESSION_DAYS = 3;
const FAILING_SHARE = 0.4;
const RESTING = 0.15;

/** Counts the `latest` of some tries, newest first, as they stand `now` (ms). */
export function tallyOf(tries: Tries, latest: number, now: number): Tally {
  const looked = tries.slice(0, latest);
  return {
    judged: looked.length,
    asWritten: looked.filter(({ asWritten }) => asWritten).length,
    daysSince: looked.length === 0 ? null : (now - looked[0].at) / DAY_MS,
  };
}

const shareOf = ({ judged, asWritten }: Tally, prior: number) =>
  (asWritten + PRIOR_TRIES * prior) / (judged + PRIOR_TRIES);

/** What was never played is wanted as after three days in a zone: it comes in by and by, not all at once. */
const NEVER = 0.6;

const waited = ({ daysSince }: Tally, days: number) =>
  daysSince === null ? NEVER : 1 - Math.exp(-daysSince / days);

const isFailing = (tries: Tries, least: number) =>
  tries.length >= least && tries.filter(({ asWritten }) => asWritten).length < FAILING_SHARE * tries.length;

/** Whether a line that was just played went so badly that it is left for the day: two tries or more, and hardly one as written. */
export const wentBadly = (tries: Tries) => isFailing(tries, 2);

/**
 * Need of a skill on a note: how far it is from always as written (a goal nobody reaches) times how long since it was practised. What
 * little is known of a note is filled up from its zone. A drill that fails in three sittings within three days, or went badly today,
 * rests until tomorrow: it is left before it becomes an obsession. `today`: when the day began, in ms.
 */
export function needOf(
  { family, zone, midi }: Wanted,
  history: PracticeHistory,
  now: number,
  today: number,
): Need {
  const skill = skillOf(family);
  const inZone = tallyOf(history.ofZone(skill, zone), LATEST_OF_ZONE, now);
  const onNote = midi === null ? null : tallyOf(history.ofNote(skill, midi), LATEST_OF_NOTE, now);
  const zoneShare = shareOf(inZone, PRIOR_SHARE);
  const share = onNote ? shareOf(onNote, zoneShare) : zoneShare;
  const ofFamily = history.ofFamily(family, zone);
  const lastOfFamily = tallyOf(ofFamily, 1, now);
  const age = onNote
    ? 0.5 * waited(lastOfFamily, FORGETTING_DAYS.zone) + 0.5 * waited(onNote, FORGETTING_DAYS.note)
    : waited(lastOfFamily, FORGETTING_DAYS.zone);
  const isResting = rests(ofFamily, now, today);
  return {
    need: (1 - share) * age * (isResting ? RESTING : 1),
    skill,
    note: onNote,
    zone: inZone,
    isResting,
  };
}

function rests(tries: Tries, now: number, today: number): boolean {
  if (wentBadly(tries.filter(({ at }) => at >= today))) return true;
  const lately = tries.filter(({ at }) => now - at < OBSESSION_DAYS * DAY_MS);
  const sittings = new Set(lately.map(({ at }) => Math.floor((at - today) / DAY_MS))).size;
  const isRecent = lately.length > 0 && now - lately[0].at < 1.5 * DAY_MS;
  return sittings >= OBSESSION_SITTINGS && isRecent && isFailing(lately, 1);
}
