import { shapeOf, type NoteItem } from '../exercise/index.ts';
import type { Finding } from './finding.ts';
import type { ItemMeasures } from './measures.ts';
import type { Tolerance } from './tolerances.ts';
import { isVibrato } from './vibratoAsked.ts';

/** First instants are rougher than what follows: this much wider than the pitch band. */
export const LANDING_BANDS = 2.5;

/** How its pitch stood: at its loud and its soft end, throughout or where it landed; and whether it moved. */
export function pitchFindings(note: NoteItem, m: ItemMeasures, { pitchCents }: Tolerance): Finding[] {
  const found: Finding[] = [];
  const { loudEndCents: loud, softEndCents: soft, centsMean, landingCents, firstToLastCents: drift } = m;
  if (loud !== null && soft !== null && Math.max(Math.abs(loud), Math.abs(soft)) > pitchCents)
    found.push(
      Math.abs(loud) >= Math.abs(soft) ? { kind: 'loudEnd', cents: loud } : { kind: 'softEnd', cents: soft },
    );
  else if (centsMean !== null && Math.abs(centsMean) > pitchCents)
    found.push({ kind: 'pitch', cents: centsMean });
  else if (
    note.attack !== 'slurred' &&
    m.firstPartial === null &&
    landingCents !== null &&
    centsMean !== null &&
    Math.abs(landingCents - centsMean) > LANDING_BANDS * pitchCents
  )
    found.push({ kind: 'landing', cents: landingCents });
  // What is meant to swing or to bend does not wander.
  const swings = note.vibrato === undefined ? isVibrato(m) : note.vibrato !== 'off';
  if (shapeOf(note) !== 'steady' || swings || note.bend) return found;
  if (drift !== null && Math.abs(drift) > pitchCents) found.push({ kind: 'drift', cents: drift });
  else if (m.centsSpread !== null && m.centsSpread > pitchCents)
    found.push({ kind: 'wander', cents: m.centsSpread });
  return found;
}
