import { familyById, GATES, skillOf, type Experience, type Gate } from '../exercise/index.ts';
import { zoneOfNote, type PractisedNote, type Zone } from '../practice/index.ts';
import { shownBy, type Evidence } from './evidence.ts';
import type { SheetItem } from './sheetItems.ts';

/** Half steps from a fundamental to its third and fourth partials. */
const PARTIALS_3_AND_4: readonly number[] = [19, 24];
/** Low B flat and its neighbour. */
const BASES: readonly number[] = [58, 59];

const isHeldIn = (zone: Zone) => (note: PractisedNote) =>
  note.family === 'longHold' && zoneOfNote(note.fingeredMidi) === zone;

/** What opens each gate. */
export const GATE_EVIDENCE: Record<Gate, Evidence> = {
  // Low notes that stand.
  overtones: { isAbout: isHeldIn('low'), right: 6, of: 8 },
  // Notes of the upper register that stand.
  palm: { isAbout: isHeldIn('high'), right: 6, of: 8 },
  // Low notes that speak softly.
  subtone: {
    isAbout: ({ family, fingeredMidi }) => skillOf(family) === 'start' && zoneOfNote(fingeredMidi) === 'low',
    right: 6,
    of: 8,
  },
  // Even single swells.
  widening: { isAbout: ({ family }) => family === 'swell', right: 6, of: 8 },
  // The voicing that altissimo needs is learned on the low tube.
  altissimo: {
    isAbout: ({ writtenMidi, fingeredMidi }) =>
      BASES.includes(fingeredMidi) && PARTIALS_3_AND_4.includes(writtenMidi - fingeredMidi),
    right: 7,
    of: 10,
  },
};

/** What is asked of whom; everything else is open to them. */
const ASKED: Record<Experience, readonly Gate[]> = {
  firstYear: GATES,
  someYears: ['altissimo'],
  advanced: [],
};

/** A gate as it stands: open, or how far away; `right` of the last `of` tries went as written. */
export interface GateState {
  gate: Gate;
  isOpen: boolean;
  /** It was asked for, and what was played opens it. */
  isEarned: boolean;
  right: number;
  of: number;
  wanted: { right: number; of: number };
}

/**
 * How the gates stand for a player: by what they have played, by how long they have played (null: not asked, all is open), and by
 * their own wish, which always counts.
 */
export function gateStates(
  history: readonly PractisedNote[],
  experience: Experience | null,
  wished: readonly Gate[],
): GateState[] {
  const asked = experience === null ? [] : ASKED[experience];
  return GATES.map((gate): GateState => {
    const evidence = GATE_EVIDENCE[gate];
    const { right, of, isShown } = shownBy(history, evidence);
    const isEarned = asked.includes(gate) && isShown;
    return {
      gate,
      isOpen: !asked.includes(gate) || wished.includes(gate) || isEarned,
      isEarned,
      right,
      of,
      wanted: { right: evidence.right, of: evidence.of },
    };
  });
}

/** What a line waits behind: the gate of its family, or of where it lies. */
export const gateOf = ({ family, zone }: Pick<SheetItem, 'family' | 'zone'>): Gate | null =>
  familyById(family)?.gate ?? (zone === 'palm' ? 'palm' : null);
