import { OWN_TIME_LEAST_SECONDS } from './follow.ts';
import type { Finding } from './finding.ts';
import type { NoteHeard } from './noteHeard.ts';
import { SLUR_GAP_MS } from './startFindings.ts';

/** A note shorter than this share of what is written was broken off. */
const SHORT_SHARE = 0.85;
/** A hole of the tongue takes so much of a note and makes it detached, not short. */
const DETACHED_SECONDS = 0.2;
/** A tone that sinks or rises by this at its end has no end. */
const END_SAG_CENTS = 25;
/** A tone that takes longer than this to go has no end; most rooms ring less. */
const END_FADE_MS = 400;
/** Later than this a new tone is heard as late in any hall. */
const MOST_RINGS_MS = 150;
/** An end is told where it has sunk by so much more than under a next note. */
const END_RINGS = 1.5;

/** Broken off before its time. A note that came late and ended in time is late; a hole in a slur is told of the note after it, once. */
export function shortFindings(heard: NoteHeard): Finding[] {
  const { note, events, onsetSeconds, writtenSeconds, writtenEndSeconds } = heard;
  if (note.open || (heard.holeAfterMs ?? 0) > SLUR_GAP_MS) return [];
  const end = events.find((event) => event.type === 'end');
  const heldSeconds = end ? end.timeSeconds - onsetSeconds : 0;
  const missing = writtenEndSeconds - (end?.timeSeconds ?? 0);
  const isShort = heard.isOwnTime
    ? heldSeconds < Math.min(OWN_TIME_LEAST_SECONDS, SHORT_SHARE * writtenSeconds)
    : heldSeconds < SHORT_SHARE * writtenSeconds &&
      missing > Math.max((1 - SHORT_SHARE) * writtenSeconds, Math.min(DETACHED_SECONDS, writtenSeconds / 2));
  return isShort ? [{ kind: 'short', heldSeconds, writtenSeconds }] : [];
}

/** Early or late against its beat; of a slide that is told as one so much later is not late. What begins while the room still rings is told no closer. */
export function beatFindings(
  { measures: { onsetOffsetMs: ms }, tolerance: { onsetMs }, ringsMs, isOverTail }: NoteHeard,
  slideMs: number,
): Finding[] {
  const bandMs = onsetMs + (isOverTail ? Math.min(ringsMs, MOST_RINGS_MS) : 0);
  if (ms === null || Math.abs(ms) <= bandMs + (ms > 0 ? slideMs : 0)) return [];
  return [{ kind: 'beat', ms }];
}

/** How a note ended where its end counts: on its beat, and at once. */
export function endFindings({ note, measures: m, events, tolerance, ringsMs }: NoteHeard): Finding[] {
  if (m.endOffsetMs === null) return [];
  const ends: Finding[] = [];
  // A room that rings makes an end later, never earlier.
  const isLate = m.endOffsetMs > tolerance.endMs + END_RINGS * ringsMs;
  if (isLate || m.endOffsetMs < -tolerance.endMs) ends.push({ kind: 'endBeat', ms: m.endOffsetMs });
  if (m.endFadeMs !== null && m.endFadeMs > END_FADE_MS + END_RINGS * ringsMs)
    ends.push({ kind: 'endFades', ms: m.endFadeMs });
  const release = events.find((event) => event.type === 'release');
  const fades = note.dynamics.at(-1)?.mark === 'pp' || note.dynamics.at(-1)?.mark === 'ppp';
  if (release?.type === 'release' && !release.clean && !fades && (release.sagCents ?? 0) > END_SAG_CENTS)
    ends.push({ kind: 'endSags', cents: release.sagCents ?? 0 });
  return ends;
}
