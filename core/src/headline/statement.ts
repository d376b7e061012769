import type { DynamicMark, MajorKey, NoteItem } from '../exercise/index.ts';
import { AT_ONCE_SECONDS, type HoldCause, type SoundProcessing } from '../judge/index.ts';

/** A note as it is called: what sounds, by which fingering, and as what. */
export interface NamedNote extends Pick<NoteItem, 'writtenMidi' | 'fingered' | 'tone'> {
  /** The key that spells it; absent: as a saxophone book does. */
  spelledIn?: MajorKey;
}

/** A note that spoke, so often. */
export interface SpokenNote {
  note: NamedNote;
  times: number;
  cents: number;
}

/** Which of several wordings says a statement: '' where there is one. */
interface StatementRow<Payload> {
  forms: readonly string[];
  formOf(payload: Payload): string;
}

const row = <Payload>(
  forms: readonly string[] = [''],
  formOf: (payload: Payload) => string = () => '',
): StatementRow<Payload> => ({ forms, formOf });

/** Nobody hears these as a difference. */
export const SAME_CENTS = 3;
export const SAME_DB = 0.5;
export const SAME_MS = 20;
export const SAME_COLOUR_PERCENT = 5;
export const SAME_AIR_DB = 3;

/** One wording for each side of a figure, and one for what nobody hears. */
const sided = <Payload>(
  [below, same, above]: readonly [string, string, string],
  figure: (payload: Payload) => number,
  least: number,
) =>
  row<Payload>([below, same, above], (payload) => {
    const value = figure(payload);
    return Math.abs(value) < least ? same : value < 0 ? below : above;
  });

type Of = { clean: number; of: number };
/** Of one there is no counting. */
const shareForms = ['', 'One', 'NotOne'] as const;
const shareForm = ({ clean, of }: Of) => (of > 1 ? '' : clean === 1 ? 'One' : 'NotOne');
const share = row<Of>(shareForms, shareForm);

/** What a headline may say, a row each, with its figures; the interface has the words: `headline.` and its name with its form. */
export const STATEMENTS = {
  /** A hairpin: its span, and what the pitch did from soft to loud. */
  swell: sided<{ from: DynamicMark; to: DynamicMark; spanDb: number; cents: number }>(
    ['Lower', 'Same', 'Higher'],
    ({ cents }) => cents,
    SAME_CENTS,
  ),
  even: row(),
  /** Nothing was heard that answers the question. */
  notJudged: row(),
  /** A browser or a device worked on its level: what rests on that is not judged. */
  levelNotJudged: row<{ processing: SoundProcessing }>(['Ducking', 'Gate', 'Gain'], ({ processing }) =>
    processing === 'gain' ? 'Gain' : processing === 'gate' ? 'Gate' : 'Ducking',
  ),
  /** One side of a pair was not heard. */
  sideUnheard: row<{ side: string }>(),
  /** Over several hairpins the one whose pitch went farthest. */
  worstSwell: row<{ note: NamedNote; cents: number; of: number }>(
    ['Lower', 'Same', 'Higher', 'LowerOne', 'HigherOne'],
    ({ cents, of }) =>
      Math.abs(cents) < SAME_CENTS ? 'Same' : `${cents < 0 ? 'Lower' : 'Higher'}${of === 1 ? 'One' : ''}`,
  ),
  /** From the first note of a descent to its last. */
  fall: row<{ note: NamedNote; fallDb: number; under: NamedNote }>(['', 'None'], ({ fallDb }) =>
    fallDb < SAME_DB ? 'None' : '',
  ),
  unbroken: row(),
  caught: row<{ mark: DynamicMark; seconds: number | null }>(['', 'After'], ({ seconds }) =>
    seconds === null ? '' : 'After',
  ),
  /** How often something else than the note spoke first. */
  overtoneFirst: row<{ count: number; of: number }>(['', 'Once', 'Never'], ({ count, of }) =>
    count === 0 ? 'Never' : of === 1 ? 'Once' : '',
  ),
  softestBeforeAir: row<{ mark: DynamicMark }>(),
  spokeOf: share,
  /** From the lowest note that spoke to the highest. */
  rangeSpoken: row<{ low: NamedNote; high: NamedNote }>(),
  /** Between the softest and the loudest of one note. */
  softToLoud: row<{ db: number }>(),
  /** Which side let more air through, by how much, in how many pairs; the interval where it could be nothing. */
  lips: row<{
    side: string;
    other: string;
    db: number;
    clean: number;
    of: number;
    isClear: boolean;
    plusMinusDb: number | null;
  }>(['Once', 'OnceSame', 'Clear', 'Unclear'], ({ of, isClear }) =>
    of === 1 ? (isClear ? 'Once' : 'OnceSame') : isClear ? 'Clear' : 'Unclear',
  ),
  /** The same notes by the tongue and slurred: how often each way spoke at once, and which notes went to another partial. */
  spokeTongued: share,
  spokeSlurred: share,
  jumped: row<{ list: readonly NamedNote[]; count: number }>(),
  /** Up a line of subtones: to where it is one each time, to where now and then, from where no more. */
  subtoneAll: row(),
  subtoneNone: row(),
  subtoneTo: row<{ note: NamedNote }>(),
  halfTo: row<{ note: NamedNote }>(),
  lostFrom: row<{ note: NamedNote }>(),
  /** Of notes with a hairpin each, how they took it. */
  sorted: row<{ atOnce: number; withWork: number; notYet: number; of: number }>(),
  /** One note of several that share the time, in clicks. */
  zone: row<{ note: NamedNote; count: number; longest: number; first: number; last: number }>(),
  startsAlike: share,
  /** One start beside the note that was slurred to: by how much it differs, where that is heard. */
  startDiffers: row<{
    number: number;
    db: number | null;
    percent: number | null;
    airDb: number | null;
    cents: number | null;
  }>(),
  responses: row<{ list: readonly number[] }>(),
  slurred: row<Of & { way: SlurWay }>(shareForms, shareForm),
  slowestClear: row<{ note: NamedNote; seconds: number }>(['', 'AtOnce'], ({ seconds }) =>
    seconds < AT_ONCE_SECONDS ? 'AtOnce' : '',
  ),
  firstTry: row<{ seconds: number; of: number }>(
    ['', 'AtOnce', 'Only', 'OnlyAtOnce'],
    ({ seconds, of }) => `${of === 1 ? 'Only' : ''}${seconds < AT_ONCE_SECONDS ? 'AtOnce' : ''}`,
  ),
  /** Where the pitch of several tries lay, by their median. */
  pitch: sided<{ cents: number }>(['Flat', 'Same', 'Sharp'], ({ cents }) => cents, SAME_CENTS),
  insteadPartial: row<{ partial: number; count: number }>(['', 'Fundamental'], ({ partial }) =>
    partial === 1 ? 'Fundamental' : '',
  ),
  squawks: row<{ count: number }>(),
  matched: row<{ db: number; cents: number }>(),
  /** Three ways to one note: how far each two of them are apart in colour. */
  threeWays: row<{ ownLowDb: number; ownShortDb: number; lowShortDb: number }>(),
  /** Of several notes the one whose two sounds are farthest apart. */
  farthest: row<{ note: NamedNote; db: number }>(),
  /** Which way one of two sounds lies from the other. */
  matchColour: sided<{ percent: number }>(
    ['Darker', 'Same', 'Brighter'],
    ({ percent }) => percent,
    SAME_COLOUR_PERCENT,
  ),
  matchAir: sided<{ db: number }>(['Clearer', 'Same', 'Airier'], ({ db }) => db, SAME_AIR_DB),
  /** Whole beats of the metronome for which a note stayed good. */
  held: row<{ count: number; cause: HoldCause; note: NamedNote | null }>(
    ['', 'On', 'Completed', 'OnCompleted'],
    ({ cause, note }) => `${note ? 'On' : ''}${cause === 'completed' ? 'Completed' : ''}`,
  ),
  begins: row<{ ms: number }>(),
  ends: sided<{ ms: number }>(['Early', 'Same', 'Late'], ({ ms }) => ms, SAME_MS),
  subtone: row<{ note: NamedNote; airierDb: number; softerDb: number; tone: 'full' | 'weak' | 'subtone' }>(
    ['Full', 'Weak', 'Subtone'],
    ({ tone }) => ({ full: 'Full', weak: 'Weak', subtone: 'Subtone' })[tone],
  ),
  subtones: share,
  byTongue: row<{ count: number; of: number }>(['', 'Once', 'Never'], ({ count, of }) =>
    count === 0 ? 'Never' : of === 1 ? 'Once' : '',
  ),
  vibrato: row<{ hz: number; cents: number; percent: number; asked: 'slow' | 'normal' }>(
    ['Slow', 'Normal'],
    ({ asked }) => (asked === 'slow' ? 'Slow' : 'Normal'),
  ),
  /** In half steps from the note before. */
  interval: sided<{ halfSteps: number; cents: number; base: NamedNote; note: NamedNote }>(
    ['Flat', 'Same', 'Sharp'],
    ({ cents }) => cents,
    SAME_CENTS,
  ),
  /** After it landed off: where it was left, or how soon it settled. */
  settled: row<{ ms: number }>(['', 'AtOnce'], ({ ms }) => (ms < SAME_MS ? 'AtOnce' : '')),
  landed: sided<{ note: NamedNote; cents: number }>(
    ['Flat', 'Same', 'Sharp'],
    ({ cents }) => cents,
    SAME_CENTS,
  ),
  hummed: sided<{ cents: number }>(['Flat', 'Same', 'Sharp'], ({ cents }) => cents, SAME_CENTS),
  landedWithin: row<Of & { withinCents: number }>(),
  /** Where a note lay that was reached by the voicing alone. */
  voiced: sided<{ note: NamedNote; cents: number }>(
    ['Flat', 'Same', 'Sharp'],
    ({ cents }) => cents,
    SAME_CENTS,
  ),
  bent: row<{ cents: number }>(),
  raised: row<{ cents: number }>(),
  /** How many changes of the fingers alone were heard. */
  changesHeard: row<{ heard: number; of: number }>(),
  /** What two fingerings of one note, changed quickly, differ by in colour. */
  effect: row<{ db: number }>(['', 'None'], ({ db }) => (db < SAME_DB ? 'None' : '')),
  /** What spoke on one fingering: each note, how often, and by its median how far off. */
  spoke: row<{ list: readonly SpokenNote[]; count: number }>(),
  noneSpoke: row(),
  /** how far nine of ten changes lay from an even beat, at most. */
  evenWithin: row<{ ms: number }>(),
  back: row<{ cents: number }>(['', 'Exact'], ({ cents }) => (Math.abs(cents) < SAME_CENTS ? 'Exact' : '')),
  vowels: row<{ darkest: string; brightest: string; withinCents: number }>(),
  /** Of several notes, how many stand out. */
  line: row<{ count: number; outstanding: number }>(['', 'None'], ({ outstanding }) =>
    outstanding === 0 ? 'None' : '',
  ),
  /** A note held at one level. */
  steady: sided<{ note: NamedNote; cents: number; withinCents: number }>(
    ['Flat', 'Same', 'Sharp'],
    ({ cents }) => cents,
    SAME_CENTS,
  ),
  levelWithin: row<{ db: number }>(),
  /** After against before: what differs by more than the tones differ by themselves. */
  afterPitch: sided<{ cents: number }>(['Flatter', 'Same', 'Sharper'], ({ cents }) => cents, 0),
  afterLevel: sided<{ db: number }>(['Softer', 'Same', 'Louder'], ({ db }) => db, 0),
  afterSame: row<{ before: number; after: number }>(),
  lastTime: row<{ figure: number; digits: number }>(),
  best: row<{ figure: number; digits: number; note: NamedNote }>(),
  isBest: row(),
} as const;

export type SlurWay = 'fell' | 'climbed' | 'changed' | 'moved';

export type StatementKind = keyof typeof STATEMENTS;
type PayloadOf<Kind extends StatementKind> =
  (typeof STATEMENTS)[Kind] extends StatementRow<infer Payload> ? Payload : never;

/** One clause of a headline, with its figures. */
export type Statement = {
  [Kind in StatementKind]: unknown extends PayloadOf<Kind>
    ? { kind: Kind }
    : { kind: Kind } & PayloadOf<Kind>;
}[StatementKind];

/** The name of the wording that says it. */
export const wordingOf = (statement: Statement): string =>
  statement.kind + (STATEMENTS[statement.kind] as StatementRow<Statement>).formOf(statement);
