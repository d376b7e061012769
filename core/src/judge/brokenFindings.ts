import type { Finding } from './finding.ts';
import type { NoteHeard } from './noteHeard.ts';

/** A jump this soon after the onset belongs to what spoke first. */
const FIRST_SECONDS = 0.1;
/** A slip that lasts this near to the end was not mended. */
const STAYED_SECONDS = 0.2;
/** A hole this long is a new beginning, not a flicker. */
const RESTART_SECONDS = 0.2;

/** Another partial than the written one, if one sounded. */
export function wrongPartial(heard: number | null, wanted: number): Finding | null {
  if (heard === null || heard === wanted) return null;
  return { kind: heard < wanted ? 'lowPartial' : 'highPartial', partial: heard, wanted };
}

/** What broke while the note sounded: it jumped to another partial, cracked, or went out. */
export function brokenFindings({ measures, events, onsetSeconds, breathHeard }: NoteHeard): Finding[] {
  const found: Finding[] = [];
  const since = (time: number) => time - onsetSeconds;
  const beganOnIt = measures.firstPartial === null;
  const end = events.find((event) => event.type === 'end');
  const jump = events.find((event) => event.type === 'jump');
  if (jump?.type === 'jump' && (beganOnIt || since(jump.timeSeconds) > FIRST_SECONDS)) {
    const stays = jump.timeSeconds + jump.lengthSeconds > (end?.timeSeconds ?? 0) - STAYED_SECONDS;
    const kind = stays && jump.to < jump.from ? 'fellBack' : 'jump';
    found.push({ kind, to: jump.to, atSeconds: since(jump.timeSeconds) });
  }
  const crack = events.find((event) => event.type === 'crack');
  if (crack?.type === 'crack' && beganOnIt)
    found.push({ kind: 'crack', to: crack.to, atSeconds: since(crack.timeSeconds) });
  const gap = events.find((event) => event.type === 'gap');
  if (gap?.type === 'gap') {
    const atSeconds = since(gap.timeSeconds);
    if (gap.lengthSeconds < RESTART_SECONDS)
      found.push({ kind: 'gap', atSeconds, lengthMs: 1000 * gap.lengthSeconds });
    else found.push({ kind: breathHeard ? 'breath' : 'restart', atSeconds });
  }
  return found;
}
