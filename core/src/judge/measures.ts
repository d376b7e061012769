import type { HoldCause } from './hold.ts';
import type { Profile } from './match.ts';

/** What a soft tone on purpose turned out to be, beside the full tone of the same note. */
export type ToneKind = 'full' | 'subtone' | 'weak';

/** subtoneDepth: what parts a tone from the full tone of the same note. */
export interface SubtoneDepth {
  /** dB; + is airier. */
  airierDb: number;
  /** dB; + is softer. */
  softerDb: number;
  /** Brightness as a share of the full tone's. */
  brightnessShare: number;
  /** Noise against tone by itself; absent in older takes. */
  breathDb?: number;
  kind: ToneKind;
}

/** What can be said of any note over its steady part; null where there is no answer. Units are in the names. */
export interface NoteMeasures {
  /** Median cents; + is sharp. */
  centsMean: number | null;
  /** Half the 16-84 percentile width. */
  centsSpread: number | null;
  driftCentsPerSecond: number | null;
  /** Median cents of the frames near the softest and the loudest level. */
  softEndCents: number | null;
  loudEndCents: number | null;
  /** Cents per 10 dB louder, with the share of the variance it explains. */
  bendWithLevel: number | null;
  bendWithLevelR2: number | null;
  /** Median level in dBFS. */
  levelDb: number | null;
  /** Half the 16-84 percentile width. */
  levelSpreadDb: number | null;
  levelDriftDbPerSecond: number | null;
  dynamicSpanDb: number | null;
  /** Median harmonic number and median breath; compare within a note only. */
  brightness: number | null;
  breathDb: number | null;
  /** Harmonic numbers per 10 dB louder. */
  colourShift: number | null;
  /** Rate, half-width and steadiness (0-1) of a swing of pitch between 2.5 and 8.5 Hz. */
  vibratoHz: number | null;
  vibratoCents: number | null;
  vibratoRegularity: number | null;
}

/** How a note began. */
export interface NoteStart {
  /** From the onset of the air to the tone on the right partial; null where no air went before (tongued). */
  responseMs: number | null;
}

/** Every figure of a single-note take, measured against what was written. */
export interface SwellMeasures extends NoteMeasures, NoteStart {
  /** RMS distance from the written line after the best single offset, and that offset. */
  swellErrorDb: number | null;
  levelOffsetDb: number | null;
  stairs: { count: number; worstDb: number | null };
  wrongWayPercent: number | null;
  /** + is late. */
  peakOffsetBeats: number | null;
  holdSeconds: number | null;
  holdBeats: number | null;
  holdCause: HoldCause | null;
}

/** How a note came in and where it landed. */
export interface NoteEntry {
  /** After its beat, + is late; of a slurred note, where the pitch changes. Null for a note that sets the beat itself. */
  onsetOffsetMs: number | null;
  /** Partial of the tube that sounded first, where it was not the right one; null where it was. */
  firstPartial: number | null;
  /** Median cents of the first 150 ms, and the time until the pitch stays within 10 cents of its own median. */
  landingCents: number | null;
  settleMs: number | null;
}

/** How a note followed the one before; null for the first, and where nothing can be compared. */
export interface LineMeasures {
  /** Only between two notes written at one and the same steady dynamic. */
  stepDb: number | null;
  stepBrightness: number | null;
  stepCents: number | null;
  /** Slurred notes only: the change of pitch, how far it went past the new note, and the hole in the sound. */
  slurMs: number | null;
  overshootCents: number | null;
  gapMs: number | null;
}

/** What only some exercises ask for; absent elsewhere. */
export interface AskedMeasures {
  /** How far the note was bent down with its tone kept, and how far from its beginning it came back to. */
  bendRangeCents?: number | null;
  bendBackCents?: number | null;
  /** How far the colour moved: 10-90 percentile width of brightness, smoothed 150 ms, over the steady part. */
  colourSpan?: number | null;
  /** The colour of the steady part, to be matched. */
  profileDb?: Profile;
  /** Against the first such note of the phrase: see `matchDb`; pitch and brightness, + is sharper and brighter. */
  matchDb?: number | null;
  matchCents?: number | null;
  matchBrightness?: number | null;
  /** Of a subtone, against the nearest full tone of its note in the phrase. */
  subtone?: SubtoneDepth | null;
  /** Of a high note that was not slurred to: how long it was loud without a pitch before it came. */
  squawkMs?: number;
}

/** Every figure of one note of an exercise. */
export interface ItemMeasures extends SwellMeasures, NoteEntry, LineMeasures, AskedMeasures {}
