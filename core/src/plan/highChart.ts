import {
  fingeringKey,
  HIGH_NOTES,
  startFingerings,
  type HornId,
  type TopKey,
  type WrittenMidi,
} from '../horn/index.ts';
import { highFigures, speaksBest, type HighFigures, type HighTry } from './highTries.ts';

/** What the player decided on a fingering. */
export interface HighDecision {
  writtenMidi: WrittenMidi;
  /** As one word, see `fingeringKey`. */
  fingering: string;
  preferred: boolean;
  removed: boolean;
}

/** One fingering on the chart. */
export interface ChartedFingering {
  word: string;
  figures: HighFigures;
  preferred: boolean;
  /** From the starting set, not yet tried. */
  isStart: boolean;
}

/** One note of the chart with its fingerings: the preferred first, then what speaks most, then what to start from. */
export interface ChartedNote {
  writtenMidi: WrittenMidi;
  fingerings: ChartedFingering[];
  /** Speaks more often than every other one tried, as far as the tries tell; null where they do not. */
  best: ChartedFingering | null;
}

interface ChartRequest {
  hornId: HornId;
  topKey: TopKey;
  decisions: readonly HighDecision[];
  tries: readonly HighTry[];
}

/** The chart of one horn and mouthpiece, F#6 to D7: what there is to start from, what was added, what was tried. */
export function highChart({ hornId, topKey, decisions, tries }: ChartRequest): ChartedNote[] {
  return HIGH_NOTES.map((writtenMidi) => {
    const own = decisions.filter((each) => each.writtenMidi === writtenMidi);
    const starts = startFingerings(writtenMidi, hornId, topKey).map(fingeringKey);
    const tried = tries.filter((each) => each.writtenMidi === writtenMidi).map(({ fingering }) => fingering);
    const words = new Set([...starts, ...own.map(({ fingering }) => fingering), ...tried]);
    const fingerings = [...words].flatMap((word): ChartedFingering[] => {
      const decision = own.find(({ fingering }) => fingering === word);
      if (decision?.removed) return [];
      const figures = highFigures(writtenMidi, word, tries);
      const isStart = starts.includes(word) && figures.tries === 0;
      return [{ word, figures, preferred: decision?.preferred ?? false, isStart }];
    });
    const worth = ({ preferred, figures }: ChartedFingering) => (preferred ? 2 : 0) + (figures.rate ?? -1);
    const sorted = fingerings.toSorted((a, b) => worth(b) - worth(a));
    const best = speaksBest(sorted.map(({ figures }) => figures));
    return { writtenMidi, fingerings: sorted, best: sorted.find(({ figures }) => figures === best) ?? null };
  });
}
