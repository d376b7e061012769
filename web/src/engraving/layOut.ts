import { barsOf, writtenRepeats, type MajorKey, type WrittenPart } from '@inner-hum/core/exercise';
import type { EngravedPhrase } from './engraved.ts';

/** A bar with where it stands: which phrase it is of, and what surrounds it. */
export interface LaidBar {
  parts: WrittenPart[];
  phrase: number;
  key: MajorKey | null;
  shift: number;
  isPhraseEnd: boolean;
  /** How often the phrase that ends here is played. */
  repeats: number;
  width: number;
}

/** Room for a part by its value: longer notes take more, but not in proportion. */
const PART_PX = 30;
const PER_BEAT_PX = 11;
const BAR_PX = 22;
/** Clef and up to six accidentals before the first bar of a line. */
const LINE_HEAD_PX = 44;
const ACCIDENTAL_PX = 9;

const KEY_ACCIDENTALS: Record<MajorKey, number> = {
  C: 0,
  G: 1,
  F: 1,
  D: 2,
  Bb: 2,
  A: 3,
  Eb: 3,
  E: 4,
  Ab: 4,
  B: 5,
  Db: 5,
  'F#': 6,
};

export const headWidth = (key: MajorKey | null) =>
  LINE_HEAD_PX + (key ? KEY_ACCIDENTALS[key] * ACCIDENTAL_PX : 0);

/** Breaks phrases into lines of bars no wider than `width`; a line keeps one key. Lines but the last are stretched to it. */
export function layOut(phrases: readonly EngravedPhrase[], width: number): LaidBar[][] {
  const bars = phrases.flatMap(({ phrase, beatsPerBar, shift }, index): LaidBar[] => {
    const all = barsOf(phrase, beatsPerBar);
    return all.map((parts, i) => ({
      parts,
      phrase: index,
      key: phrase.key ?? null,
      shift,
      isPhraseEnd: i === all.length - 1,
      repeats: writtenRepeats(phrase),
      width: BAR_PX + parts.reduce((sum, { value }) => sum + PART_PX + PER_BEAT_PX * value, 0),
    }));
  });
  const lines: LaidBar[][] = [];
  let used = 0;
  for (const bar of bars) {
    const line = lines.at(-1);
    if (line && line[0].key === bar.key && used + bar.width <= width) {
      line.push(bar);
      used += bar.width;
    } else {
      lines.push([bar]);
      used = headWidth(bar.key) + bar.width;
    }
  }
  return lines.map((line, i) => stretch(line, width, i === lines.length - 1));
}

/** Bars of a full line share what is left of its width; a short last line stays as it is. */
function stretch(line: readonly LaidBar[], width: number, isLast: boolean): LaidBar[] {
  const room = width - headWidth(line[0].key);
  const natural = line.reduce((sum, bar) => sum + bar.width, 0);
  const factor = isLast && natural < 0.7 * room ? 1.15 : room / natural;
  return line.map((bar) => ({ ...bar, width: bar.width * Math.min(factor, 2.2) }));
}
