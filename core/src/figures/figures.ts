import type { FigureRow } from './figureRow.ts';

const FLAT_SHARP = ['flat', 'sharp'] as const;
const EARLY_LATE = ['early', 'late'] as const;
const SOFTER_LOUDER = ['softer', 'louder'] as const;
const DARKER_BRIGHTER = ['darker', 'brighter'] as const;

/** What only a table or a report shows: it is no aim and no trend. */
const TOLD = { goal: null, skill: null, kept: null, column: true, sides: null } as const;
const less = (target: number) => ({ target, wants: 'less' }) as const;
const more = (target: number) => ({ target, wants: 'more' }) as const;

/** Every figure of a note, a row each: in the order of a table of notes. A figure that has no answer is null, wherever it stands. */
export const FIGURES = {
  /** Median cents from the equal-tempered note. */
  centsMean: {
    of: 'note',
    unit: 'cents',
    digits: 0,
    sides: FLAT_SHARP,
    goal: less(10),
    skill: null,
    kept: 0,
    column: true,
  },
  /** Half the 16-84 percentile width. */
  centsSpread: {
    of: 'note',
    unit: 'cents',
    digits: 1,
    sides: null,
    goal: less(3),
    skill: 'hold',
    kept: 1,
    column: true,
  },
  /** Slope of a robust line through the pitch. */
  driftCentsPerSecond: {
    of: 'note',
    unit: 'centsPerSecond',
    digits: 1,
    sides: FLAT_SHARP,
    goal: less(1),
    skill: 'hold',
    kept: 2,
    column: true,
  },
  /** Median cents of the frames near the softest level. */
  softEndCents: {
    of: 'note',
    unit: 'cents',
    digits: 0,
    sides: FLAT_SHARP,
    goal: less(10),
    skill: 'swell',
    kept: 3,
    column: true,
  },
  /** Median cents of the frames near the loudest level. */
  loudEndCents: {
    of: 'note',
    unit: 'cents',
    digits: 0,
    sides: FLAT_SHARP,
    goal: less(10),
    skill: 'swell',
    kept: 4,
    column: true,
  },
  /** Cents per 10 dB louder. */
  bendWithLevel: {
    of: 'note',
    unit: 'bend',
    digits: 0,
    sides: FLAT_SHARP,
    goal: less(5),
    skill: 'swell',
    kept: 5,
    column: true,
  },
  /** The share of the variance of pitch that `bendWithLevel` explains, 0-1. */
  bendWithLevelR2: { of: 'note', unit: 'plain', digits: 2, ...TOLD },
  /** Median level. */
  levelDb: { of: 'note', unit: 'dbfs', digits: 0, ...TOLD },
  /** Half the 16-84 percentile width. */
  levelSpreadDb: {
    of: 'note',
    unit: 'db',
    digits: 1,
    sides: null,
    goal: less(1),
    skill: 'hold',
    kept: 6,
    column: true,
  },
  levelDriftDbPerSecond: { of: 'note', unit: 'dbPerSecond', digits: 1, ...TOLD, sides: SOFTER_LOUDER },
  dynamicSpanDb: {
    of: 'note',
    unit: 'db',
    digits: 0,
    sides: null,
    goal: more(20),
    skill: 'swell',
    kept: 7,
    column: true,
  },
  /** Median harmonic number of the spectrum's centre; compare within a note only. */
  brightness: {
    of: 'note',
    unit: 'harmonicNumber',
    digits: 1,
    sides: null,
    goal: less(4),
    skill: null,
    kept: 15,
    column: true,
  },
  /** Median noise against tone; compare within a note only. */
  breathDb: {
    of: 'note',
    unit: 'db',
    digits: 0,
    sides: null,
    goal: less(-20),
    skill: null,
    kept: 14,
    column: true,
  },
  /** Harmonic numbers per 10 dB louder. */
  colourShift: { of: 'note', unit: 'harmonicsPer10Db', digits: 1, ...TOLD, sides: DARKER_BRIGHTER },
  /** Rate of a swing of pitch between 2.5 and 8.5 Hz. */
  vibratoHz: {
    of: 'note',
    unit: 'hz',
    digits: 1,
    sides: null,
    goal: more(5),
    skill: null,
    kept: 19,
    column: true,
  },
  /** Its half-width. */
  vibratoCents: { of: 'note', unit: 'cents', digits: 0, ...TOLD },
  /** How alike its swings are, 0-1. */
  vibratoRegularity: { of: 'note', unit: 'plain', digits: 2, ...TOLD },
  /** From the onset of the air to the tone on the right partial; null where no air went before (tongued). */
  responseMs: {
    of: 'start',
    unit: 'ms',
    digits: 0,
    sides: null,
    goal: less(150),
    skill: 'start',
    kept: 9,
    column: true,
  },
  /** RMS distance from the written line after the best single offset. */
  swellErrorDb: {
    of: 'swell',
    unit: 'db',
    digits: 1,
    sides: null,
    goal: less(2),
    skill: 'swell',
    kept: 8,
    column: true,
  },
  /** That offset. */
  levelOffsetDb: { of: 'swell', unit: 'db', digits: 1, ...TOLD, sides: SOFTER_LOUDER },
  wrongWayPercent: { of: 'swell', unit: 'percent', digits: 0, ...TOLD },
  peakOffsetBeats: { of: 'swell', unit: 'beats', digits: 2, ...TOLD, sides: EARLY_LATE },
  holdSeconds: {
    of: 'swell',
    unit: 'seconds',
    digits: 1,
    sides: null,
    goal: more(15),
    skill: 'hold',
    kept: 13,
    column: true,
  },
  holdBeats: { of: 'swell', unit: 'beats', digits: 0, ...TOLD },
  /** After its beat; of a slurred note, where the pitch changes. Null for a note that sets the beat itself. */
  onsetOffsetMs: {
    of: 'entry',
    unit: 'ms',
    digits: 0,
    sides: EARLY_LATE,
    goal: less(60),
    skill: 'start',
    kept: 10,
    column: true,
  },
  /** Partial of the tube that sounded first, where it was not the right one. */
  firstPartial: { of: 'entry', unit: 'plain', digits: 0, ...TOLD },
  /** Median cents of the first 150 ms. */
  landingCents: {
    of: 'entry',
    unit: 'cents',
    digits: 0,
    sides: FLAT_SHARP,
    goal: less(10),
    skill: 'ear',
    kept: 11,
    column: true,
  },
  /** The time until the pitch stays within 10 cents of its own median. */
  settleMs: { of: 'entry', unit: 'ms', digits: 0, ...TOLD },
  /** From the note before, only where both are written at one and the same steady dynamic; so the next two. */
  stepDb: { of: 'line', unit: 'db', digits: 1, ...TOLD, sides: SOFTER_LOUDER },
  stepBrightness: { of: 'line', unit: 'harmonics', digits: 1, ...TOLD, sides: DARKER_BRIGHTER },
  stepCents: { of: 'line', unit: 'cents', digits: 0, ...TOLD, sides: FLAT_SHARP },
  /** Slurred notes only: how long the pitch changes, how far it went past the new note, and the hole in the sound. */
  slurMs: {
    of: 'line',
    unit: 'ms',
    digits: 0,
    sides: null,
    goal: less(80),
    skill: 'line',
    kept: 12,
    column: true,
  },
  overshootCents: { of: 'line', unit: 'cents', digits: 0, ...TOLD },
  gapMs: { of: 'line', unit: 'ms', digits: 0, ...TOLD },
  /** How far the note was bent down with its tone kept. */
  bendRangeCents: {
    of: 'asked',
    unit: 'cents',
    digits: 0,
    sides: null,
    goal: more(200),
    skill: 'voicing',
    kept: 18,
    column: false,
  },
  /** How far from its beginning it came back to. */
  bendBackCents: { of: 'asked', unit: 'cents', digits: 0, ...TOLD, sides: FLAT_SHARP, column: false },
  /** How far the colour moved: 10-90 percentile width of brightness, smoothed 150 ms, over the steady part. */
  colourSpan: { of: 'asked', unit: 'harmonics', digits: 1, ...TOLD, column: false },
  /** Against the first such note of the phrase: see `matchDb` in `judge/match.ts`; so the next two. */
  matchDb: {
    of: 'asked',
    unit: 'db',
    digits: 1,
    sides: null,
    goal: less(4),
    skill: 'overtone',
    kept: 16,
    column: false,
  },
  matchCents: { of: 'asked', unit: 'cents', digits: 0, ...TOLD, sides: FLAT_SHARP, column: false },
  matchBrightness: {
    of: 'asked',
    unit: 'harmonics',
    digits: 1,
    ...TOLD,
    sides: DARKER_BRIGHTER,
    column: false,
  },
  /** Of a high note that was not slurred to: how long it was loud without a pitch before it came. */
  squawkMs: { of: 'asked', unit: 'ms', digits: 0, ...TOLD, column: false },
  /** How much airier a subtone is than the full tone of its note. */
  subtoneAirierDb: {
    of: 'derived',
    unit: 'db',
    digits: 0,
    sides: null,
    goal: more(8),
    skill: 'subtone',
    kept: 17,
    column: false,
  },
  /** Of a hum, not of a note. */
  humCents: {
    of: 'derived',
    unit: 'cents',
    digits: 0,
    sides: FLAT_SHARP,
    goal: less(25),
    skill: 'ear',
    kept: 20,
    column: false,
  },
  /** Of several notes: how many were as written. */
  asWrittenPercent: {
    of: 'derived',
    unit: 'percent',
    digits: 0,
    sides: null,
    goal: more(80),
    skill: null,
    kept: null,
    column: false,
  },
} as const satisfies Record<string, FigureRow>;

export type FigureId = keyof typeof FIGURES;
type Table = typeof FIGURES;

/** The figures with some property of their rows. */
type Where<Property extends Partial<FigureRow>> = {
  [Id in FigureId]: Table[Id] extends Property ? Id : never;
}[FigureId];

/** The figures of one kind, as a take stores them. */
export type FiguresOf<Kind extends FigureRow['of']> = Record<Where<{ of: Kind }>, number | null>;
export type KeptFigure = Exclude<FigureId, Where<{ kept: null }>>;
export type ColumnFigure = Where<{ column: true }>;

const ids = Object.keys(FIGURES) as FigureId[];
const rowOf = (id: FigureId): FigureRow => FIGURES[id];

/** The figures that are kept for trends, in the order of their stored rows. */
export const KEPT_FIGURES = ids
  .filter((id): id is KeptFigure => rowOf(id).kept !== null)
  .toSorted((a, b) => Number(rowOf(a).kept) - Number(rowOf(b).kept));

/** The figures that have a column in the table of notes, in its order. */
export const COLUMN_FIGURES = ids.filter((id): id is ColumnFigure => rowOf(id).column);

export const figureRow = rowOf;
