import type { Finding } from './finding.ts';
import type { NoteHeard } from './noteHeard.ts';
import type { TakeEvent } from './takeEvent.ts';

/** A jump this soon after the onset belongs to what spoke first. */
const FIRST_SECONDS = 0.1;
/** A slip that lasts this near to the end was not mended. */
const STAYED_SECONDS = 0.2;
/** Echoes cancel a tone for no longer than this. */
const ECHO_SECONDS = 0.065;
/** So near its end a tone that rings on is no judge of itself. */
const END_RINGS_SECONDS = 0.2;
/** A hole this long is a new beginning, not a flicker. */
const RESTART_SECONDS = 0.2;

/** Another partial than the written one, if one sounded. */
export function wrongPartial(heard: number | null, wanted: number): Finding | null {
  if (heard === null || heard === wanted) return null;
  return { kind: heard < wanted ? 'lowPartial' : 'highPartial', partial: heard, wanted };
}

/** What broke while the note sounded: it jumped to another partial, cracked, or went out. */
export function brokenFindings({
  measures,
  events,
  onsetSeconds,
  breathHeard,
  ringsMs,
}: NoteHeard): Finding[] {
  const found: Finding[] = [];
  const since = (time: number) => time - onsetSeconds;
  const beganOnIt = measures.firstPartial === null;
  const end = events.find((event) => event.type === 'end');
  // The last of a note in a room that rings is the room's.
  const isOwn = ({ timeSeconds }: TakeEvent) =>
    ringsMs === 0 || end === undefined || timeSeconds < end.timeSeconds - END_RINGS_SECONDS;
  const jump = events.find((event) => event.type === 'jump' && isOwn(event));
  if (jump?.type === 'jump' && (beganOnIt || since(jump.timeSeconds) > FIRST_SECONDS)) {
    const stays = jump.timeSeconds + jump.lengthSeconds > (end?.timeSeconds ?? 0) - STAYED_SECONDS;
    const kind = stays && jump.to < jump.from ? 'fellBack' : 'jump';
    found.push({ kind, to: jump.to, atSeconds: since(jump.timeSeconds) });
  }
  const crack = events.find((event) => event.type === 'crack' && isOwn(event));
  if (crack?.type === 'crack' && beganOnIt)
    found.push({ kind: 'crack', to: crack.to, atSeconds: since(crack.timeSeconds) });
  const gap = events.find((event) => event.type === 'gap');
  if (gap?.type === 'gap' && (ringsMs === 0 || gap.lengthSeconds > ECHO_SECONDS)) {
    const atSeconds = since(gap.timeSeconds);
    if (gap.lengthSeconds < RESTART_SECONDS)
      found.push({ kind: 'gap', atSeconds, lengthMs: 1000 * gap.lengthSeconds });
    else found.push({ kind: breathHeard ? 'breath' : 'restart', atSeconds });
  }
  return found;
}
