import type { NoteItem } from '../exercise/index.ts';
import { isRaised } from './bend.ts';
import type { Finding } from './finding.ts';
import type { ItemMeasures } from './measures.ts';
import { LANDING_BANDS } from './pitchFindings.ts';
import type { Tolerance } from './tolerances.ts';
import { vibratoFindings } from './vibratoAsked.ts';

/** A bend that comes this near to what is written is as written. */
const BEND_SHARE = 0.85;
/** Colour that moves by less than this share of its own middle is heard as one colour. */
const COLOUR_SHARE = 0.12;
/** Two sounds of one pitch nearer than this are hard to tell apart by colour. */
const MATCH_DB = 4;

/** What only such a note is asked for: to swing, to match another, to be a subtone, to be bent, to change its colour. */
export function askedFindings(note: NoteItem, m: ItemMeasures, { pitchCents }: Tolerance): Finding[] {
  const found = vibratoFindings(note, m);
  if (typeof m.matchCents === 'number' && Math.abs(m.matchCents) > pitchCents)
    found.push({ kind: 'pitchApart', cents: m.matchCents });
  if (typeof m.matchDb === 'number' && m.matchDb > MATCH_DB)
    found.push({ kind: 'colourApart', db: m.matchDb });
  if (m.subtone && m.subtone.kind !== 'subtone') {
    const { kind, airierDb, softerDb } = m.subtone;
    found.push({ kind: kind === 'full' ? 'stillFull' : 'weakTone', airierDb, softerDb });
  }
  const reachedCents = m.bendRangeCents ?? m.raiseRangeCents ?? null;
  if (note.bend && reachedCents !== null) {
    const wantedCents = Math.max(...note.bend.map(({ cents }) => Math.abs(cents)));
    if (reachedCents < BEND_SHARE * wantedCents)
      found.push({
        kind: isRaised(note.bend) ? 'raiseShort' : 'bendShort',
        cents: reachedCents,
        wantedCents,
      });
    const back = m.bendBackCents ?? 0;
    if (Math.abs(back) > LANDING_BANDS * pitchCents) found.push({ kind: 'bendBack', cents: back });
  }
  const harmonics = m.centroidSpanHarmonics;
  if (note.judged?.includes('colour') && typeof harmonics === 'number')
    if (harmonics < COLOUR_SHARE * (m.centroidHarmonics ?? 0)) found.push({ kind: 'colourStill', harmonics });
  return found;
}
