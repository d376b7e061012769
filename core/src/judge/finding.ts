import type { DynamicMark, Judged } from '../exercise/index.ts';
import type { WrittenMidi } from '../horn/index.ts';
import type { Advice } from './advice.ts';

/** What is said of a kind of finding in one place; all else about it is derived from here. */
export interface FindingRow<Payload> {
  /** The weightiest is told: what is not there, a torn tone, how it began, then stairs, beat, pitch, shape. */
  weight: number;
  advice: Advice;
  /** What a note must be judged by for it to count; null: what happens is always told. */
  judged: Judged | null;
  /** Nothing stood out: it takes nothing from what was as written. */
  neutral: boolean;
  /** Which of several sentences says it: none, or all of these. */
  forms: readonly string[];
  formOf(payload: Payload): string;
}

interface Told<Payload> {
  judged?: Judged;
  neutral?: true;
  forms?: readonly string[];
  formOf?(payload: Payload): string;
}

type Nothing = Record<never, never>;

function row<Payload = Nothing>(
  weight: number,
  advice: Advice,
  told: Told<Payload> = {},
): FindingRow<Payload> {
  return {
    weight,
    advice,
    judged: told.judged ?? null,
    neutral: told.neutral ?? false,
    forms: told.forms ?? [],
    formOf: told.formOf ?? (() => ''),
  };
}

/** One sentence for each side of a figure. */
const sided = <Payload>(below: string, above: string, figure: (payload: Payload) => number) => ({
  forms: [below, above],
  formOf: (payload: Payload) => (figure(payload) > 0 ? above : below),
});
const softerOrLouder = sided<{ db: number }>('Softer', 'Louder', ({ db }) => db);
const earlyOrLate = sided<{ ms: number }>('Early', 'Late', ({ ms }) => ms);
const flatOrSharp = sided<{ cents: number }>('Flat', 'Sharp', ({ cents }) => cents);

/** Another partial than the one that was wanted; the first has a name. */
const fundamental = <Payload>(partial: (payload: Payload) => number) => ({
  forms: ['', 'Fundamental'],
  formOf: (payload: Payload) => (partial(payload) === 1 ? 'Fundamental' : ''),
});

/** Nobody hears that it took so long. */
export const AT_ONCE_SECONDS = 0.1;

type At = { atSeconds: number };
type Partials = { partial: number; wanted: number };
type Subtone = { airierDb: number; softerDb: number };
type Swing = { hz: number; cents: number; regularity: number };
type SwingAsked = { hz: number; leastHz: number; mostHz: number };
/** dB that were played, and that were written. */
type Way = { db: number; writtenDb: number };
/** dB off the mark that was written, and the mark that it came to. */
type AgainstMark = { db: number; mark: DynamicMark; written: DynamicMark };
type Hold = { seconds: number; cause: 'completed' | 'pitch' | 'level' | 'breath' | 'partial' | 'gap' };

/**
 * What may stand out in a note, a row each, with its figures; a figure is put into the sentence by its name. The interface has the words: the
 * sentence of a finding is `finding.` and its name, with its form.
 */
export const FINDINGS = {
  missed: row(100, 'countTheRest'),
  /** Loud without a pitch: instead of the note, or before it came. */
  onlySquawk: row(97, 'voiceFirst'),
  wrongNote: row<{ heardMidi: WrittenMidi }>(95, 'nameItFirst'),
  /** Another partial of the fingered tube sounded for most of the note, under or over the one that was wanted. */
  lowPartial: row<Partials>(
    93,
    'voiceHigher',
    fundamental(({ partial }) => partial),
  ),
  highPartial: row<Partials>(93, 'voiceLower'),
  /** It spoke, and fell to a lower partial to its end. */
  fellBack: row<At & { to: number }>(
    91,
    'keepTheVoicing',
    fundamental(({ to }) => to),
  ),
  jump: row<At & { to: number }>(90, 'moreAirBeforeJump'),
  breath: row<At>(88, 'oneBreathSooner'),
  restart: row<At>(85, 'goOnAnyway'),
  gap: row<At & { lengthMs: number }>(80, 'keepAirThrough'),
  slurGap: row<{ lengthMs: number }>(78, 'airNotFingers', { judged: 'slur' }),
  squawk: row<{ ms: number }>(74, 'voiceFirst'),
  firstPartial: row<{ partial: number }>(72, 'startOnTheNote', { judged: 'start' }),
  short: row<{ heldSeconds: number; writtenSeconds: number }>(70, 'shorterFirst', { judged: 'hold' }),
  gapBreath: row(65, 'holdTheAir', { judged: 'silence' }),
  response: row<{ ms: number }>(60, 'softestThatSpeaks', { judged: 'start' }),
  crack: row<At & { to: number }>(55, 'moreAirBeforeJump'),
  stair: row<At & { count: number; worstDb: number }>(50, 'slowerThroughStair', { judged: 'dynamics' }),
  /** A subtone was asked for: still full, or soft or airy without being one. */
  stillFull: row<Subtone>(48, 'chinDown', { judged: 'tone' }),
  weakTone: row<Subtone>(48, 'fromAHint', { judged: 'tone' }),
  /** A hairpin went under three fifths of its way. */
  hardlyGrew: row<Way>(49, 'widerSwell', { judged: 'dynamics' }),
  hardlyFell: row<Way>(49, 'widerSwell', { judged: 'dynamics' }),
  /** Off its mark where a hairpin begins, turns and ends, by the best single level of the phrase. */
  beginLevel: row<AgainstMark>(47, 'readTheMarks', { judged: 'dynamics' }),
  peakLevel: row<AgainstMark>(46, 'readTheMarks', { judged: 'dynamics' }),
  endLevel: row<AgainstMark>(46, 'readTheMarks', { judged: 'dynamics' }),
  /** Louder or softer than its place in the phrase, + is louder. */
  place: row<{ db: number }>(46, 'readTheMarks', {
    judged: 'dynamics',
    ...softerOrLouder,
  }),
  /** Begun by the tongue where the breath was to begin it. */
  byTongue: row(47, 'airFirst', { judged: 'start' }),
  beat: row<{ ms: number }>(45, 'breatheWithTheBeat', {
    judged: 'beat',
    ...earlyOrLate,
  }),
  /** After its written end, + is late. */
  endBeat: row<{ ms: number }>(44, 'endWithTheBeat', {
    judged: 'beat',
    ...earlyOrLate,
  }),
  /** A note begun anew against the same note that was slurred to: + is louder, airier, brighter, sharper. */
  startLevel: row<{ db: number }>(43, 'sameAsSlurred', {
    judged: 'start',
    ...softerOrLouder,
  }),
  startBreath: row<{ db: number }>(43, 'sameAsSlurred', {
    judged: 'start',
    ...sided('Clearer', 'Airier', ({ db }) => db),
  }),
  startColour: row<{ percent: number }>(42, 'sameAsSlurred', {
    judged: 'start',
    ...sided('Darker', 'Brighter', ({ percent }) => percent),
  }),
  startPitch: row<{ cents: number }>(42, 'sameAsSlurred', { judged: 'start', ...flatOrSharp }),
  slowSlur: row<{ ms: number }>(42, 'fingersTogether', { judged: 'slur' }),
  overshoot: row<{ cents: number }>(40, 'arriveOnTheNote', { judged: 'slur' }),
  /** More breath than is wanted where the note is softest. */
  airySoftEnd: row<{ db: number }>(37, 'lessAirWhenSoft', { judged: 'dynamics' }),
  /** Bent less far than written; and how far off it came back. */
  bendShort: row<{ cents: number; wantedCents: number }>(36, 'bendByTongue'),
  raiseShort: row<{ cents: number; wantedCents: number }>(36, 'raiseByTongue'),
  /** Beside the other sound of the same pitch: too far off in pitch or colour. */
  pitchApart: row<{ cents: number }>(35, 'samePitchFirst', { judged: 'match', ...flatOrSharp }),
  loudEnd: row<{ cents: number }>(34, 'loudEndVoicing', { judged: 'pitch', ...flatOrSharp }),
  softEnd: row<{ cents: number }>(34, 'softEndVoicing', { judged: 'pitch', ...flatOrSharp }),
  bendBack: row<{ cents: number }>(33, 'comeBackByEar', { judged: 'pitch', ...flatOrSharp }),
  pitch: row<{ cents: number }>(32, 'hearNoteFirst', { judged: 'pitch', ...flatOrSharp }),
  hum: row<{ cents: number }>(31, 'hearNoteFirst', flatOrSharp),
  landing: row<{ cents: number }>(30, 'hearNoteFirst', { judged: 'pitch', ...flatOrSharp }),
  colourApart: row<{ db: number }>(29, 'sameSoundFirst', { judged: 'match' }),
  /** The colour was to move and stayed; how far it moved, in harmonic numbers. */
  colourStill: row<{ harmonics: number }>(28, 'widerVowels', { judged: 'colour' }),
  vibratoMissing: row(27, 'swingOnTheBeat', { judged: 'vibrato' }),
  vibratoThere: row<Swing>(27, 'straightTone', { judged: 'vibrato' }),
  vibratoSlow: row<SwingAsked>(26, 'quickerSwing', { judged: 'vibrato' }),
  vibratoFast: row<SwingAsked>(26, 'slowerSwing', { judged: 'vibrato' }),
  vibratoUneven: row<{ regularity: number }>(25, 'swingOnTheBeat', { judged: 'vibrato' }),
  peak: row<{ beats: number }>(20, 'countTheTurn', {
    judged: 'dynamics',
    ...sided('Early', 'Late', ({ beats }) => beats),
  }),
  /** For so much of its time a hairpin went the other way. */
  wrongWay: row<{ percent: number }>(19, 'slowerThroughStair', { judged: 'dynamics' }),
  /** It died away where it was to end. */
  endFades: row<{ ms: number }>(18, 'endOnTheNote', { judged: 'beat' }),
  /** How far the pitch moved as the tone ended. */
  endSags: row<{ cents: number }>(18, 'endOnTheNote', { judged: 'beat' }),
  swellError: row<{ db: number }>(15, 'smallerSpan', { judged: 'dynamics' }),
  unsteady: row<{ db: number }>(15, 'steadyAir', { judged: 'dynamics' }),
  step: row<{ db: number }>(12, 'sameAir', {
    judged: 'line',
    ...softerOrLouder,
  }),
  /** From the first to the last third of a steady tone. */
  drift: row<{ cents: number }>(11, 'steadyAir', { judged: 'pitch', ...flatOrSharp }),
  wander: row<{ cents: number }>(10, 'steadyAir', { judged: 'pitch' }),
  // What there is to say where nothing stood out.
  /** Written tongued, and no break was heard before it. */
  notTongued: row(3, 'moveOn', { neutral: true }),
  /** A subtone without a full tone of its note to hold it against. */
  noFullTone: row(2, 'playItFull', { neutral: true }),
  /** Too short to judge. */
  tooShort: row(1, 'moveOn', { neutral: true }),
  airUnheard: row(1, 'moveOn', { neutral: true }),
  /** A hairpin from its softest to its loudest: how the pitch went, and the farthest it lay off. */
  evenSwell: row<{ cents: number; withinCents: number }>(0, 'addABeat', {
    neutral: true,
    forms: ['', 'Lower', 'Higher'],
    formOf: ({ cents }) => (Math.abs(cents) < 2.5 ? '' : cents < 0 ? 'Lower' : 'Higher'),
  }),
  held: row<Hold>(1, 'holdLonger', {
    neutral: true,
    forms: ['', 'Completed'],
    formOf: ({ cause }) => (cause === 'completed' ? 'Completed' : ''),
  }),
  /** In the player's own time: how soon the right partial stood clear, and for how long it was held. */
  clear: row<{ seconds: number; heldSeconds: number }>(1, 'moveOn', {
    neutral: true,
    forms: ['', 'AtOnce'],
    formOf: ({ seconds }) => (seconds < AT_ONCE_SECONDS ? 'AtOnce' : ''),
  }),
  bent: row<{ cents: number }>(1, 'addABeat', { neutral: true }),
  raised: row<{ cents: number }>(1, 'addABeat', { neutral: true }),
  colourMoved: row<{ harmonics: number; spreadCents: number }>(1, 'addABeat', { neutral: true }),
  /** Bare air against the first of the phrase, + is more. */
  airAgainst: row<{ db: number }>(1, 'takeTheFreer', {
    neutral: true,
    forms: ['Less', 'More'],
    formOf: ({ db }) => (db >= 0 ? 'More' : 'Less'),
  }),
  matched: row<{ db: number; cents: number }>(1, 'moveOn', { neutral: true }),
  subtone: row<Subtone>(1, 'holdLonger', { neutral: true }),
  vibrato: row<Swing>(1, 'holdLonger', { neutral: true }),
  even: row<{ errorDb: number; withinCents: number }>(0, 'addABeat', { neutral: true }),
  quiet: row(0, 'addABeat', { neutral: true }),
};

export type FindingKind = keyof typeof FINDINGS;
type PayloadOf<Kind extends FindingKind> =
  (typeof FINDINGS)[Kind] extends FindingRow<infer Payload> ? Payload : never;

/** What stood out, with its figures. The interface turns it into words. */
export type Finding = { [Kind in FindingKind]: { kind: Kind } & PayloadOf<Kind> }[FindingKind];

/** What another version of the app found, and this one does not know: it counts, and nothing is said of it. */
const UNKNOWN = row(0, 'moveOn');

/** Whether a finding is one of ours: takes from archives may hold others. */
const isKnown = (kind: string): kind is FindingKind => Object.hasOwn(FINDINGS, kind);

/** Its row. */
export const findingRow = ({ kind }: Pick<Finding, 'kind'>): FindingRow<unknown> =>
  (isKnown(kind) ? FINDINGS[kind] : UNKNOWN) as FindingRow<unknown>;

/** Which sentence says it: its name with its form; null where there is none. */
export const sentenceOf = (finding: Finding): string | null =>
  isKnown(finding.kind) ? finding.kind + findingRow(finding).formOf(finding) : null;

/** It was heard, and could not be judged: it stands in no count. */
export const isNotJudged = ({ kind }: Pick<Finding, 'kind'>): boolean =>
  kind === 'tooShort' || kind === 'noFullTone';

/** Nothing stood out. */
export const isNeutral = (finding: Pick<Finding, 'kind'>): boolean => findingRow(finding).neutral;
