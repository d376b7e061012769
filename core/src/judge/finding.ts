import { DYNAMIC_MARKS } from '../exercise/index.ts';
import type { Fields, ValuesOf } from './fields.ts';
import { fundamental, NOTHING, row, sided, type FindingRow } from './findingRow.ts';
import { HOLD_CAUSES } from './hold.ts';

const softerOrLouder = sided<{ db: number }>('Softer', 'Louder', ({ db }) => db);
const earlyOrLate = sided<{ ms: number }>('Early', 'Late', ({ ms }) => ms);
const flatOrSharp = sided<{ cents: number }>('Flat', 'Sharp', ({ cents }) => cents);

/** Nobody hears that it took so long. */
export const AT_ONCE_SECONDS = 0.1;

const AT = { atSeconds: 'number' } as const;
const DB = { db: 'number' } as const;
const MS = { ms: 'number' } as const;
const CENTS = { cents: 'number' } as const;
const PARTIALS = { partial: 'number', wanted: 'number' } as const;
const BEND = { cents: 'number', wantedCents: 'number' } as const;
const SUBTONE = { airierDb: 'number', softerDb: 'number' } as const;
const SWING = { hz: 'number', cents: 'number', regularity: 'number' } as const;
const SWING_ASKED = { hz: 'number', leastHz: 'number', mostHz: 'number' } as const;
/** dB that were played, and that were written. */
const WAY = { db: 'number', writtenDb: 'number' } as const;
/** dB off the mark that was written, and the mark that it came to. */
const AGAINST_MARK = { db: 'number', mark: DYNAMIC_MARKS, written: DYNAMIC_MARKS } as const;

/**
 * What may stand out in a note, a row each, with its figures; a figure is put into the sentence by its name. The interface has the words: the
 * sentence of a finding is `finding.` and its name, with its form.
 */
export const FINDINGS = {
  missed: row(100, 'countTheRest'),
  /** Loud without a pitch: instead of the note, or before it came. */
  onlySquawk: row(97, 'voiceFirst'),
  wrongNote: row(95, 'nameItFirst', { heardMidi: 'midi' }),
  /** Another partial of the fingered tube sounded for most of the note, under or over the one that was wanted. */
  lowPartial: row(
    93,
    'voiceHigher',
    PARTIALS,
    fundamental(({ partial }) => partial),
  ),
  highPartial: row(93, 'voiceLower', PARTIALS),
  /** It spoke, and fell to a lower partial to its end. */
  fellBack: row(
    91,
    'keepTheVoicing',
    { ...AT, to: 'number' },
    fundamental(({ to }) => to),
  ),
  jump: row(90, 'moreAirBeforeJump', { ...AT, to: 'number' }),
  breath: row(88, 'oneBreathSooner', AT),
  restart: row(85, 'goOnAnyway', AT),
  gap: row(80, 'keepAirThrough', { ...AT, lengthMs: 'number' }),
  slurGap: row(78, 'airNotFingers', { lengthMs: 'number' }, { judged: 'slur' }),
  squawk: row(74, 'voiceFirst', MS),
  firstPartial: row(72, 'startOnTheNote', { partial: 'number' }, { judged: 'start' }),
  short: row(70, 'shorterFirst', { heldSeconds: 'number', writtenSeconds: 'number' }, { judged: 'hold' }),
  gapBreath: row(65, 'holdTheAir', NOTHING, { judged: 'silence' }),
  response: row(60, 'softestThatSpeaks', MS, { judged: 'start' }),
  crack: row(55, 'moreAirBeforeJump', { ...AT, to: 'number' }),
  stair: row(50, 'slowerThroughStair', { ...AT, count: 'number', worstDb: 'number' }, { judged: 'dynamics' }),
  /** A subtone was asked for: still full, or soft or airy without being one. */
  stillFull: row(48, 'chinDown', SUBTONE, { judged: 'tone' }),
  weakTone: row(48, 'fromAHint', SUBTONE, { judged: 'tone' }),
  /** A hairpin went under three fifths of its way. */
  hardlyGrew: row(49, 'widerSwell', WAY, { judged: 'dynamics' }),
  hardlyFell: row(49, 'widerSwell', WAY, { judged: 'dynamics' }),
  /** Off its mark where a hairpin begins, turns and ends, by the best single level of the phrase. */
  beginLevel: row(47, 'readTheMarks', AGAINST_MARK, { judged: 'dynamics' }),
  peakLevel: row(46, 'readTheMarks', AGAINST_MARK, { judged: 'dynamics' }),
  endLevel: row(46, 'readTheMarks', AGAINST_MARK, { judged: 'dynamics' }),
  /** Louder or softer than its place in the phrase, + is louder. */
  place: row(46, 'readTheMarks', DB, {
    judged: 'dynamics',
    ...softerOrLouder,
  }),
  /** Begun by the tongue where the breath was to begin it. */
  byTongue: row(47, 'airFirst', NOTHING, { judged: 'start' }),
  beat: row(45, 'breatheWithTheBeat', MS, {
    judged: 'beat',
    ...earlyOrLate,
  }),
  /** After its written end, + is late. */
  endBeat: row(44, 'endWithTheBeat', MS, {
    judged: 'beat',
    ...earlyOrLate,
  }),
  /** A note begun anew against the same note that was slurred to: + is louder, airier, brighter, sharper. */
  startLevel: row(43, 'sameAsSlurred', DB, {
    judged: 'start',
    ...softerOrLouder,
  }),
  startBreath: row(43, 'sameAsSlurred', DB, {
    judged: 'start',
    ...sided('Clearer', 'Airier', ({ db }) => db),
  }),
  startColour: row(
    42,
    'sameAsSlurred',
    { percent: 'number' },
    {
      judged: 'start',
      ...sided('Darker', 'Brighter', ({ percent }) => percent),
    },
  ),
  startPitch: row(42, 'sameAsSlurred', CENTS, { judged: 'start', ...flatOrSharp }),
  slowSlur: row(42, 'fingersTogether', MS, { judged: 'slur' }),
  overshoot: row(40, 'arriveOnTheNote', CENTS, { judged: 'slur' }),
  /** More breath than is wanted where the note is softest. */
  airySoftEnd: row(37, 'lessAirWhenSoft', DB, { judged: 'dynamics' }),
  /** Bent less far than written; and how far off it came back. */
  bendShort: row(36, 'bendByTongue', BEND),
  raiseShort: row(36, 'raiseByTongue', BEND),
  /** Beside the other sound of the same pitch: too far off in pitch or colour. */
  pitchApart: row(35, 'samePitchFirst', CENTS, { judged: 'match', ...flatOrSharp }),
  loudEnd: row(34, 'loudEndVoicing', CENTS, { judged: 'pitch', ...flatOrSharp }),
  softEnd: row(34, 'softEndVoicing', CENTS, { judged: 'pitch', ...flatOrSharp }),
  bendBack: row(33, 'comeBackByEar', CENTS, { judged: 'pitch', ...flatOrSharp }),
  pitch: row(32, 'hearNoteFirst', CENTS, { judged: 'pitch', ...flatOrSharp }),
  hum: row(31, 'hearNoteFirst', CENTS, flatOrSharp),
  landing: row(30, 'hearNoteFirst', CENTS, { judged: 'pitch', ...flatOrSharp }),
  colourApart: row(29, 'sameSoundFirst', DB, { judged: 'match' }),
  /** The colour was to move and stayed; how far it moved, in harmonic numbers. */
  colourStill: row(28, 'widerVowels', { harmonics: 'number' }, { judged: 'colour' }),
  vibratoMissing: row(27, 'swingOnTheBeat', NOTHING, { judged: 'vibrato' }),
  vibratoThere: row(27, 'straightTone', SWING, { judged: 'vibrato' }),
  vibratoSlow: row(26, 'quickerSwing', SWING_ASKED, { judged: 'vibrato' }),
  vibratoFast: row(26, 'slowerSwing', SWING_ASKED, { judged: 'vibrato' }),
  vibratoUneven: row(25, 'swingOnTheBeat', { regularity: 'number' }, { judged: 'vibrato' }),
  peak: row(
    20,
    'countTheTurn',
    { beats: 'number' },
    {
      judged: 'dynamics',
      ...sided('Early', 'Late', ({ beats }) => beats),
    },
  ),
  /** For so much of its time a hairpin went the other way. */
  wrongWay: row(19, 'slowerThroughStair', { percent: 'number' }, { judged: 'dynamics' }),
  /** It died away where it was to end. */
  endFades: row(18, 'endOnTheNote', MS, { judged: 'beat' }),
  /** How far the pitch moved as the tone ended. */
  endSags: row(18, 'endOnTheNote', CENTS, { judged: 'beat' }),
  swellError: row(15, 'smallerSpan', DB, { judged: 'dynamics' }),
  unsteady: row(15, 'steadyAir', DB, { judged: 'dynamics' }),
  step: row(12, 'sameAir', DB, {
    judged: 'line',
    ...softerOrLouder,
  }),
  /** From the first to the last third of a steady tone. */
  drift: row(11, 'steadyAir', CENTS, { judged: 'pitch', ...flatOrSharp }),
  wander: row(10, 'steadyAir', CENTS, { judged: 'pitch' }),
  // What there is to say where nothing stood out.
  /** Written tongued, and no break was heard before it. */
  notTongued: row(3, 'moveOn', NOTHING, { neutral: true }),
  /** A subtone without a full tone of its note to hold it against. */
  noFullTone: row(2, 'playItFull', NOTHING, { neutral: true }),
  /** Too short to judge. */
  tooShort: row(1, 'moveOn', NOTHING, { neutral: true }),
  airUnheard: row(1, 'moveOn', NOTHING, { neutral: true }),
  /** A hairpin from its softest to its loudest: how the pitch went, and the farthest it lay off. */
  evenSwell: row(
    0,
    'addABeat',
    { cents: 'number', withinCents: 'number' },
    {
      neutral: true,
      forms: ['', 'Lower', 'Higher'],
      formOf: ({ cents }) => (Math.abs(cents) < 2.5 ? '' : cents < 0 ? 'Lower' : 'Higher'),
    },
  ),
  held: row(
    1,
    'holdLonger',
    { seconds: 'number', cause: HOLD_CAUSES },
    {
      neutral: true,
      forms: ['', 'Completed'],
      formOf: ({ cause }) => (cause === 'completed' ? 'Completed' : ''),
    },
  ),
  /** In the player's own time: how soon the right partial stood clear, and for how long it was held. */
  clear: row(
    1,
    'moveOn',
    { seconds: 'number', heldSeconds: 'number' },
    {
      neutral: true,
      forms: ['', 'AtOnce'],
      formOf: ({ seconds }) => (seconds < AT_ONCE_SECONDS ? 'AtOnce' : ''),
    },
  ),
  bent: row(1, 'addABeat', CENTS, { neutral: true }),
  raised: row(1, 'addABeat', CENTS, { neutral: true }),
  colourMoved: row(1, 'addABeat', { harmonics: 'number', spreadCents: 'number' }, { neutral: true }),
  /** Bare air against the first of the phrase, + is more. */
  airAgainst: row(1, 'takeTheFreer', DB, {
    neutral: true,
    forms: ['Less', 'More'],
    formOf: ({ db }) => (db >= 0 ? 'More' : 'Less'),
  }),
  matched: row(1, 'moveOn', { db: 'number', cents: 'number' }, { neutral: true }),
  subtone: row(1, 'holdLonger', SUBTONE, { neutral: true }),
  vibrato: row(1, 'holdLonger', SWING, { neutral: true }),
  even: row(0, 'addABeat', { errorDb: 'number', withinCents: 'number' }, { neutral: true }),
  quiet: row(0, 'addABeat', NOTHING, { neutral: true }),
};

export type FindingKind = keyof typeof FINDINGS;

/** What stood out, with its figures. The interface turns it into words. */
export type Finding = {
  [Kind in FindingKind]: { kind: Kind } & ValuesOf<(typeof FINDINGS)[Kind]['fields']>;
}[FindingKind];

/** What another version of the app found, and this one does not know: it counts, and nothing is said of it. */
const UNKNOWN = row(0, 'moveOn');

/** Whether a finding is one of ours: takes from archives may hold others. */
const isKnown = (kind: string): kind is FindingKind => Object.hasOwn(FINDINGS, kind);

type AnyRow = Omit<FindingRow<Fields>, 'formOf'> & { formOf(finding: unknown): string };

/** Its row. */
export const findingRow = ({ kind }: Pick<Finding, 'kind'>): AnyRow =>
  isKnown(kind) ? (FINDINGS[kind] as AnyRow) : (UNKNOWN as AnyRow);

/** Which sentence says it: its name with its form; null where there is none. */
export const sentenceOf = (finding: Finding): string | null =>
  isKnown(finding.kind) ? finding.kind + findingRow(finding).formOf(finding) : null;

/** It was heard, and could not be judged: it stands in no count. */
export const isNotJudged = ({ kind }: Pick<Finding, 'kind'>): boolean =>
  kind === 'tooShort' || kind === 'noFullTone';

/** Nothing stood out. */
export const isNeutral = (finding: Pick<Finding, 'kind'>): boolean => findingRow(finding).neutral;
