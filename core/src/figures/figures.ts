import type { Skill } from '../exercise/index.ts';
import type { FigureRow, UsualGoal } from './figureRow.ts';

const FLAT_SHARP = ['flat', 'sharp'] as const;
const EARLY_LATE = ['early', 'late'] as const;
const SOFTER_LOUDER = ['softer', 'louder'] as const;
const DARKER_BRIGHTER = ['darker', 'brighter'] as const;

/** What only a table or a report shows: it is no aim and no trend. */
const TOLD = { goal: null, skill: null, kept: null, column: true, sides: null } as const;
/** What is kept for trends, at its place there, with what is usually wanted and the skill that moves it. */
const kept = <const Place extends number, const Of extends Skill | null>(
  place: Place,
  goal: UsualGoal,
  skill: Of,
) => ({ goal, skill, kept: place, column: true, sides: null }) as const;
const less = (target: number) => ({ target, wants: 'less' }) as const;
const more = (target: number) => ({ target, wants: 'more' }) as const;

/** Every figure of a note, a row each: in the order of a table of notes. A figure that has no answer is null, wherever it stands. */
export const FIGURES = {
  /** Median cents from the equal-tempered note. */
  centsMean: { of: 'note', unit: 'cents', digits: 0, ...kept(0, less(10), null), sides: FLAT_SHARP },
  /** Half the 16-84 percentile width. */
  centsSpread: { of: 'note', unit: 'cents', digits: 1, ...kept(1, less(3), 'hold') },
  /** Slope of a robust line through the pitch. */
  driftCentsPerSecond: {
    of: 'note',
    unit: 'centsPerSecond',
    digits: 1,
    ...kept(2, less(1), 'hold'),
    sides: FLAT_SHARP,
  },
  /** The least distance from the target within which 95 % of the steady part lies. */
  withinCents: { of: 'note', unit: 'cents', digits: 0, ...TOLD },
  /** Median cents of the last third of the steady part less those of the first. */
  firstToLastCents: { of: 'note', unit: 'cents', digits: 0, ...TOLD, sides: FLAT_SHARP },
  /** Median cents of the frames near the softest level. */
  softEndCents: { of: 'note', unit: 'cents', digits: 0, ...kept(3, less(10), 'swell'), sides: FLAT_SHARP },
  /** Median cents of the frames near the loudest level. */
  loudEndCents: { of: 'note', unit: 'cents', digits: 0, ...kept(4, less(10), 'swell'), sides: FLAT_SHARP },
  /** From the soft end to the loud one: + is sharper when loud. */
  endToEndCents: { of: 'note', unit: 'cents', digits: 0, ...TOLD, sides: FLAT_SHARP },
  /** Cents per 10 dB louder. */
  pitchSlopeCentsPer10Db: {
    of: 'note',
    unit: 'bend',
    digits: 0,
    ...kept(5, less(5), 'swell'),
    sides: FLAT_SHARP,
  },
  /** The share of the variance of pitch that `pitchSlopeCentsPer10Db` explains, 0-1. */
  pitchSlopeR2: { of: 'note', unit: 'plain', digits: 2, ...TOLD },
  /** Median level. */
  levelDb: { of: 'note', unit: 'dbfs', digits: 0, ...TOLD },
  /** 5th and 95th percentile of level. */
  softestDb: { of: 'note', unit: 'dbfs', digits: 0, ...kept(26, less(-38), 'swell') },
  peakDb: { of: 'note', unit: 'dbfs', digits: 0, ...TOLD },
  /** Half the 16-84 percentile width. */
  levelSpreadDb: { of: 'note', unit: 'db', digits: 1, ...kept(6, less(1), 'hold') },
  levelDriftDbPerSecond: { of: 'note', unit: 'dbPerSecond', digits: 1, ...TOLD, sides: SOFTER_LOUDER },
  dynamicSpanDb: { of: 'note', unit: 'db', digits: 0, ...kept(7, more(20), 'swell') },
  /** Median harmonic number of the spectrum's centre; compare within a note only. */
  centroidHarmonics: { of: 'note', unit: 'harmonicNumber', digits: 1, ...kept(15, less(4), null) },
  /** Median noise against tone; compare within a note only. */
  noiseToHarmonicDb: { of: 'note', unit: 'db', digits: 0, ...kept(14, less(-20), null) },
  /** Noise against tone over the softest 3 dB. */
  softEndBreathDb: { of: 'note', unit: 'db', digits: 0, ...TOLD },
  /** Harmonic numbers per 10 dB louder. */
  centroidSlopeHarmonicsPer10Db: {
    of: 'note',
    unit: 'harmonicsPer10Db',
    digits: 1,
    ...TOLD,
    sides: DARKER_BRIGHTER,
  },
  /** Rate of a swing of pitch between 2.5 and 8.5 Hz. */
  vibratoHz: { of: 'note', unit: 'hz', digits: 1, ...kept(19, more(5), null) },
  /** Its half-width. */
  vibratoCents: { of: 'note', unit: 'cents', digits: 0, ...TOLD },
  /** How alike its swings are, 0-1. */
  vibratoRegularity: { of: 'note', unit: 'plain', digits: 2, ...TOLD },
  /** From the onset of the air to the tone on the right partial; null where no air went before (tongued). */
  responseMs: { of: 'start', unit: 'ms', digits: 0, ...kept(9, less(150), 'start') },
  /** RMS distance from the written line after the best single offset. */
  swellErrorDb: { of: 'swell', unit: 'db', digits: 1, ...kept(8, less(2), 'swell') },
  /** That offset. */
  levelOffsetDb: { of: 'swell', unit: 'db', digits: 1, ...TOLD, sides: SOFTER_LOUDER },
  wrongWayPercent: { of: 'swell', unit: 'percent', digits: 0, ...TOLD },
  peakOffsetBeats: { of: 'swell', unit: 'beats', digits: 2, ...TOLD, sides: EARLY_LATE },
  holdSeconds: { of: 'swell', unit: 'seconds', digits: 1, ...kept(13, more(15), 'hold') },
  /** The same in clicks of the metronome. */
  holdBeats: { of: 'swell', unit: 'beats', digits: 0, ...kept(24, more(12), 'hold') },
  /** After its beat; of a slurred note, where the pitch changes. Null for a note that sets the beat itself. */
  onsetOffsetMs: { of: 'entry', unit: 'ms', digits: 0, ...kept(10, less(60), 'start'), sides: EARLY_LATE },
  /** End of the tone after its written end, where a rest or the end of a counted phrase follows. */
  endOffsetMs: { of: 'entry', unit: 'ms', digits: 0, ...kept(23, less(60), 'start'), sides: EARLY_LATE },
  /** Of a steady note whose end has a beat: how long it sounded 6 dB and more under itself at its end. */
  endFadeMs: { of: 'entry', unit: 'ms', digits: 0, ...TOLD },
  /** Partial of the tube that sounded first, where it was not the right one. */
  firstPartial: { of: 'entry', unit: 'plain', digits: 0, ...TOLD },
  /** Median cents of the first 150 ms. */
  landingCents: { of: 'entry', unit: 'cents', digits: 0, ...kept(11, less(10), 'ear'), sides: FLAT_SHARP },
  /** The time until the pitch stays within 10 cents of its own median. */
  settleMs: { of: 'entry', unit: 'ms', digits: 0, ...TOLD },
  /** From its onset until the right partial has stood inside the pitch band for half a second; null where it never did. */
  clearSeconds: { of: 'entry', unit: 'seconds', digits: 1, ...kept(21, less(0.5), 'overtone') },
  /** From the note before, less what is written between them. */
  stepDb: { of: 'line', unit: 'db', digits: 1, ...TOLD, sides: SOFTER_LOUDER },
  /** From the note before, only where both are written at one and the same steady dynamic; so the next. */
  stepCentroidHarmonics: { of: 'line', unit: 'harmonics', digits: 1, ...TOLD, sides: DARKER_BRIGHTER },
  stepCents: { of: 'line', unit: 'cents', digits: 0, ...TOLD, sides: FLAT_SHARP },
  /** Slurred notes only: how long the pitch changes, how far it went past the new note, and the hole in the sound. */
  slurMs: { of: 'line', unit: 'ms', digits: 0, ...kept(12, less(80), 'line') },
  overshootCents: { of: 'line', unit: 'cents', digits: 0, ...TOLD },
  gapMs: { of: 'line', unit: 'ms', digits: 0, ...TOLD },
  /** How far the note was bent down with its tone kept. */
  bendRangeCents: { of: 'asked', unit: 'cents', digits: 0, ...kept(18, more(200), 'voicing'), column: false },
  /** How far the note was raised with its tone kept. */
  raiseRangeCents: { of: 'asked', unit: 'cents', digits: 0, ...TOLD, column: false },
  /** How far from its beginning it came back to. */
  bendBackCents: { of: 'asked', unit: 'cents', digits: 0, ...TOLD, sides: FLAT_SHARP, column: false },
  /** How far the colour moved: 10-90 percentile width of centroidHarmonics, smoothed 150 ms, over the steady part. */
  centroidSpanHarmonics: {
    of: 'asked',
    unit: 'harmonics',
    digits: 1,
    ...kept(27, more(1), 'voicing'),
    column: false,
  },
  /** Against the first such note of the phrase: see `matchDb` in `judge/match.ts`; so the next two. */
  matchDb: { of: 'asked', unit: 'db', digits: 1, ...kept(16, less(4), 'overtone'), column: false },
  matchCents: { of: 'asked', unit: 'cents', digits: 0, ...TOLD, sides: FLAT_SHARP, column: false },
  matchCentroidHarmonics: {
    of: 'asked',
    unit: 'harmonics',
    digits: 1,
    ...TOLD,
    sides: DARKER_BRIGHTER,
    column: false,
  },
  /** Begun anew, against the same note of the phrase that was slurred to; so the next three. */
  startLevelDb: { of: 'asked', unit: 'db', digits: 1, ...TOLD, sides: SOFTER_LOUDER, column: false },
  startBreathDb: { of: 'asked', unit: 'db', digits: 1, ...TOLD, column: false },
  startColourPercent: {
    of: 'asked',
    unit: 'percent',
    digits: 0,
    ...TOLD,
    sides: DARKER_BRIGHTER,
    column: false,
  },
  startCents: { of: 'asked', unit: 'cents', digits: 0, ...TOLD, sides: FLAT_SHARP, column: false },
  /** Out of bare air and back into it: the level at which the tone caught, and its softest before only air was left. */
  caughtDb: { of: 'asked', unit: 'dbfs', digits: 0, ...kept(22, less(-38), 'start'), column: false },
  letGoDb: { of: 'asked', unit: 'dbfs', digits: 0, ...TOLD, column: false },
  /** Of the last note of a phrase that is written to fall from its first: how much softer it was than that one. */
  fallDb: { of: 'asked', unit: 'db', digits: 0, ...kept(25, more(12), 'swell'), column: false },
  /** Of a high note that was not slurred to: how long it was loud without a pitch before it came. */
  squawkMs: { of: 'asked', unit: 'ms', digits: 0, ...TOLD, column: false },
  /** How much airier a subtone is than the full tone of its note. */
  subtoneAirierDb: { of: 'derived', unit: 'db', digits: 0, ...kept(17, more(8), 'subtone'), column: false },
  /** Of a hum, not of a note. */
  humCents: {
    of: 'derived',
    unit: 'cents',
    digits: 0,
    ...kept(20, less(25), 'ear'),
    sides: FLAT_SHARP,
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
/** Whether this is the name of a figure. */
export const isFigure = (name: string): name is FigureId => Object.hasOwn(FIGURES, name);

/** The row of a figure by its id, where the compiler does not know which. */
export const figureRow = (id: FigureId): FigureRow => FIGURES[id];

/** The figures of one kind. */
export const figuresOf = <Kind extends FigureRow['of']>(kind: Kind) =>
  ids.filter((id) => figureRow(id).of === kind) as (keyof FiguresOf<Kind>)[];

/** What a note tells of which nothing of a kind can be said. */
export const noFigures = <Kind extends FigureRow['of']>(kind: Kind) =>
  Object.fromEntries(figuresOf(kind).map((id) => [id, null])) as FiguresOf<Kind>;

/** The figures that are kept for trends, in the order of their stored rows. */
export const KEPT_FIGURES = ids
  .filter((id): id is KeptFigure => figureRow(id).kept !== null)
  .toSorted((a, b) => Number(figureRow(a).kept) - Number(figureRow(b).kept));

/** The figures that have a column in the table of notes, in its order. */
export const COLUMN_FIGURES = ids.filter((id): id is ColumnFigure => figureRow(id).column);
