import type { Practised, Zone } from './practised.ts';

/** How much something needs practice, and the figures that say so. */
export interface Need {
  /** 0 not at all - 1 most; before the aim has its say. */
  need: number;
  /** Of the last tries; null where it was never practised. */
  judged: number;
  asWritten: number;
  daysSince: number | null;
  /** It failed again and again lately: it is left for a day. */
  isResting: boolean;
}

const DAY_MS = 24 * 3600_000;
/** More items than this are not looked back at. */
const LATEST = 20;
/** What has waited so many days needs it twice in three. */
const FORGETTING_DAYS = 3;
/** As sure as four tries: before any is made half of them would fail. */
const PRIOR_TRIES = 4;
const PRIOR_SHARE = 0.5;
/** So many sittings in so many days without success are enough for now. */
const OBSESSION_SITTINGS = 3;
const OBSESSION_DAYS = 3;
const OBSESSION_SHARE = 0.4;
const RESTING = 0.25;

/**
 * Need of one family in one zone: how far from always as written (a goal nobody reaches) times how long since it was practised.
 * What fails in three sittings within three days rests for a day: it is left before it becomes an obsession.
 */
export function needOf(family: string, zone: Zone, history: readonly Practised[], now: number): Need {
  const own = history
    .filter((each) => each.family === family && each.zone === zone && each.at <= now)
    .toSorted((a, b) => b.at - a.at);
  let [judged, asWritten] = [0, 0];
  for (const each of own) {
    if (judged >= LATEST) break;
    judged += each.judged;
    asWritten += each.asWritten;
  }
  const last = own.at(0);
  const daysSince = last ? (now - last.at) / DAY_MS : null;
  const share = (asWritten + PRIOR_TRIES * PRIOR_SHARE) / (judged + PRIOR_TRIES);
  const waited = daysSince === null ? 1 : 1 - Math.exp(-daysSince / FORGETTING_DAYS);
  const lately = own.filter(({ at }) => now - at < OBSESSION_DAYS * DAY_MS);
  const sittings = new Set(lately.map(({ at }) => Math.floor(at / DAY_MS))).size;
  const failing =
    lately.reduce((sum, each) => sum + each.asWritten, 0) <
    OBSESSION_SHARE * lately.reduce((sum, each) => sum + each.judged, 0);
  const isResting = sittings >= OBSESSION_SITTINGS && failing && (daysSince ?? Infinity) < 1.5;
  return {
    need: (1 - share) * waited * (isResting ? RESTING : 1),
    judged,
    asWritten,
    daysSince,
    isResting,
  };
}
