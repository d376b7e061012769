import type { Finding } from './finding.ts';
import type { NoteHeard } from './noteHeard.ts';

export const SLUR_GAP_MS = 50;
/** A change of pitch is heard as a slide from about here on. */
const SLOW_SLUR_MS = 120;
/** The note before covers so much of what it rings of the change to the next. */
const JOIN_RINGS = 0.5;
const OVERSHOOT_BANDS = 3;
/** Two pitches that sound together pull at each other. */
const RINGING_OVERSHOOT_BANDS = 5;
/** Air goes long before a subtone: that is how it is done. */
const SUBTONE_AIR_MS = 800;

/** How it was reached out of the note before: by a hole, by a slide, past its pitch, by a squawk. */
export function joinFindings({ measures: m, tolerance, ringsMs }: NoteHeard): Finding[] {
  const found: Finding[] = [];
  if (m.gapMs !== null && m.gapMs > SLUR_GAP_MS) found.push({ kind: 'slurGap', lengthMs: m.gapMs });
  else if (m.slurMs !== null && m.slurMs > SLOW_SLUR_MS + JOIN_RINGS * ringsMs)
    found.push({ kind: 'slowSlur', ms: m.slurMs });
  const bands = ringsMs > 0 ? RINGING_OVERSHOOT_BANDS : OVERSHOOT_BANDS;
  if (m.overshootCents !== null && m.overshootCents > bands * tolerance.pitchCents)
    found.push({ kind: 'overshoot', cents: m.overshootCents });
  if (m.squawkMs && m.squawkMs > ringsMs) found.push({ kind: 'squawk', ms: m.squawkMs });
  return found;
}

/** How it began: as which partial, after how much air, by the tongue or without. */
export function startFindings(heard: NoteHeard): Finding[] {
  const { note, measures: m, tolerance } = heard;
  const found: Finding[] = [];
  const isSubtone = note.tone === 'subtone';
  if (m.firstPartial !== null) found.push({ kind: 'firstPartial', partial: m.firstPartial });
  else if (m.responseMs !== null && m.responseMs > (isSubtone ? SUBTONE_AIR_MS : tolerance.responseMs))
    found.push({ kind: 'response', ms: m.responseMs });
  if (isSubtone && note.attack === 'breath' && m.responseMs === null)
    if (!heard.airBeforeWasWritten && heard.airWouldBeHeard) found.push({ kind: 'byTongue' });
  if (note.attack === 'tongued' && heard.isJoined) found.push({ kind: 'notTongued' });
  return found;
}
