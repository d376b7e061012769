import { GATES, skillOf, type Experience, type Gate } from '../exercise/index.ts';
import { zoneOfNote, type PractisedNote } from '../practice/index.ts';

/** What is asked before drills behind a gate come onto a sheet. */
interface Evidence {
  isAbout(note: PractisedNote): boolean;
  /** So many as written of so many in a row. */
  right: number;
  of: number;
}

/** Half steps from a fundamental to its third and fourth partials. */
const PARTIALS_3_AND_4: readonly number[] = [19, 24];
/** Low B flat and its neighbour. */
const BASES: readonly number[] = [58, 59];

const EVIDENCE: Record<Gate, Evidence> = {
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
  firstYear: ['subtone', 'widening', 'altissimo'],
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

/** Whether enough went well at some time: what has opened stays open, whatever comes after. */
function everOpened(went: readonly boolean[], { right, of }: Evidence): boolean {
  let count = 0;
  return went.some((isRight, i) => {
    count += Number(isRight) - Number(i >= of && went[i - of]);
    return i >= of - 1 && count >= right;
  });
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
    const evidence = EVIDENCE[gate];
    const went = history
      .filter((note) => evidence.isAbout(note))
      .toSorted((a, b) => a.at - b.at)
      .map(({ asWritten }) => asWritten);
    const last = went.slice(-evidence.of);
    const isEarned = asked.includes(gate) && everOpened(went, evidence);
    return {
      gate,
      isOpen: !asked.includes(gate) || wished.includes(gate) || isEarned,
      isEarned,
      right: last.filter(Boolean).length,
      of: last.length,
      wanted: { right: evidence.right, of: evidence.of },
    };
  });
}
