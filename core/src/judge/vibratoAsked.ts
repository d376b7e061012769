import type { NoteItem, Vibrato } from '../exercise/index.ts';
import type { Finding } from './finding.ts';
import type { ItemMeasures } from './measures.ts';

/** Swings a second of a vibrato as it is commonly taught. */
export const VIBRATO_HZ: Record<Exclude<Vibrato, 'off'>, readonly [number, number]> = {
  slow: [2.5, 4.5],
  normal: [4.5, 7],
};
/** A swing narrower than this passes for a straight tone. */
const STRAIGHT_CENTS = 6;
/** Under this the swings are not alike. */
const EVEN = 0.6;

type Swing = Pick<ItemMeasures, 'vibratoHz' | 'vibratoCents' | 'vibratoRegularity'>;

/** Whether the pitch swung as in a vibrato. */
export const isVibrato = ({ vibratoHz, vibratoCents, vibratoRegularity }: Swing): boolean =>
  vibratoHz !== null && (vibratoCents ?? 0) > STRAIGHT_CENTS && (vibratoRegularity ?? 0) >= EVEN;

/** What stands out of a vibrato that was written, or written off; nothing where none was. */
export function vibratoFindings({ vibrato }: Pick<NoteItem, 'vibrato'>, swing: Swing): Finding[] {
  if (vibrato === undefined) return [];
  const { vibratoHz: hz, vibratoCents: cents, vibratoRegularity: regularity } = swing;
  const isHeard = hz !== null && cents !== null && regularity !== null && cents > STRAIGHT_CENTS;
  if (vibrato === 'off') return isHeard ? [{ kind: 'vibratoThere', hz, cents, regularity }] : [];
  if (!isHeard) return [{ kind: 'vibratoMissing' }];
  const [leastHz, mostHz] = VIBRATO_HZ[vibrato];
  const found: Finding[] = [];
  if (hz < leastHz) found.push({ kind: 'vibratoSlow', hz, leastHz, mostHz });
  if (hz > mostHz) found.push({ kind: 'vibratoFast', hz, leastHz, mostHz });
  if (regularity < EVEN) found.push({ kind: 'vibratoUneven', regularity });
  return found;
}

/** What there is to say of a written vibrato where nothing stands out. */
export function plainVibrato({ vibrato }: Pick<NoteItem, 'vibrato'>, swing: Swing): Finding | null {
  const { vibratoHz: hz, vibratoCents: cents, vibratoRegularity: regularity } = swing;
  if (vibrato === undefined || vibrato === 'off') return null;
  return hz === null || cents === null || regularity === null
    ? null
    : { kind: 'vibrato', hz, cents, regularity };
}
