import type { FiguresOf } from '../figures/index.ts';
import type { HoldCause } from './hold.ts';
import type { Profile } from './match.ts';
import type { WordColour } from './wordColours.ts';

/** What a soft tone on purpose turned out to be, beside the full tone of the same note. */
export type ToneKind = 'full' | 'subtone' | 'weak';

/** subtoneDepth: what parts a tone from the full tone of the same note. */
export interface SubtoneDepth {
  /** dB; + is airier. */
  airierDb: number;
  /** dB; + is softer. */
  softerDb: number;
  /** Brightness as a share of the full tone's. */
  centroidShare: number;
  /** Noise against tone by itself; absent in older takes. */
  noiseToHarmonicDb?: number;
  kind: ToneKind;
}

/** What can be said of any note over its steady part; null where there is no answer. Every figure is described in its row of `figures`. */
export type NoteMeasures = FiguresOf<'note'>;

/** How a note began. */
export type NoteStart = FiguresOf<'start'>;

/** Every figure of a single-note take, measured against what was written. */
export interface TakeMeasures extends NoteMeasures, NoteStart, FiguresOf<'swell'> {
  stairs: { count: number; worstDb: number | null };
  holdCause: HoldCause | null;
}

/** How a note came in and where it landed. */
export type NoteEntry = FiguresOf<'entry'>;

/** How a note followed the one before; null for the first, and where nothing can be compared. */
export type LineMeasures = FiguresOf<'line'>;

/** What only some exercises ask for; absent elsewhere. */
export interface AskedMeasures extends Partial<FiguresOf<'asked'>> {
  /** The colour of the steady part, to be matched. */
  profileDb?: Profile;
  /** Of a note through several vowels, vowel by vowel. */
  words?: WordColour[];
  /** Of a subtone, against the nearest full tone of its note in the phrase. */
  subtone?: SubtoneDepth | null;
}

/** Every figure of one note of an exercise. */
export interface ItemMeasures extends TakeMeasures, NoteEntry, LineMeasures, AskedMeasures {}
