import {
  DEFAULT_SCALE,
  familyById,
  phraseExercise,
  scoreOf,
  withLength,
  type Choices,
  type DynamicMark,
  type Exercise,
  type ExerciseItem,
  type FamilyId,
  type NoteItem,
} from '../exercise/index.ts';
import { findHoles, listenTo, type FrameTrack, type NonPlayerSpan } from '../hearing/index.ts';
import { hornById, type HornId } from '../horn/index.ts';
import {
  analyseTake,
  isNeutral,
  type FindingKind,
  type ItemAnalysis,
  type TakeAnalysis,
  type TakeContext,
} from '../judge/index.ts';
import {
  playExercise,
  PROFILES,
  type ExerciseRequest,
  type ItemFault,
  type SimulatedProfile,
} from '../simulated/index.ts';
import { additiveSound } from '../testing/additiveSound.ts';
import type { Disturb } from '../testing/disturbances.ts';
import { truthTrack } from '../testing/truthTrack.ts';

/** What must be said: nothing that stands out, or one of these on each of these items of the score. */
export type Wanted = 'passes' | Readonly<Record<number, readonly FindingKind[]>>;

/** Which phrase of which drill, on which horn. */
export interface Drill {
  family: FamilyId;
  phrase?: number;
  choices?: Choices;
  hornId: HornId;
}

/** A drill as it is written, how it was played instead, and what a teacher would say. */
export interface VerdictRow extends Drill {
  /** In words. */
  played: string;
  /** What is played in place of what is written. */
  change?: (written: Exercise) => Exercise;
  faults?: readonly ItemFault[];
  profile?: Partial<SimulatedProfile>;
  context?: Partial<TakeContext>;
  wanted: Wanted;
  /** Nothing is said of any other item. */
  only?: readonly number[];
  /** Never said, anywhere. */
  never?: readonly FindingKind[];
  /** Only the simulated player can make it. */
  onlySimulated?: true;
}

/** Plays a request in some way of its own; `beatZeroSeconds`: beat 0 within the sound. */
export type SoundMaker = (request: ExerciseRequest) => {
  samples: Float32Array<ArrayBuffer>;
  beatZeroSeconds: number;
};

/** Where the frames come from: straight from what was meant, from the simulated player's sound, from tones it did not make, or from any other. */
export type Ear = 'truth' | 'simulated' | 'additive' | SoundMaker;

export interface RowResult {
  row: VerdictRow;
  written: Exercise;
  analysis: TakeAnalysis | null;
  /** What was said, item by item. */
  said: string;
  /** What is wrong with it; null: nothing. */
  wrong: string | null;
}

const RATE = 24000;

/** A phrase of a drill as it is written, at its own tempo. */
export function writtenOf({ family, phrase = 0, choices = {}, hornId }: Drill): Exercise {
  const found = familyById(family);
  if (!found) throw new Error(family);
  return phraseExercise(found.build(hornById(hornId), choices), phrase);
}

/** Plays an exercise as a row plays its drill, and judges it by what is written; null: nothing was heard. */
export function playAndJudge(
  written: Exercise,
  row: Pick<VerdictRow, 'hornId' | 'change' | 'faults' | 'profile' | 'context' | 'onlySimulated'>,
  ear: Ear,
  seed = 7,
  disturb: Disturb = (samples) => samples.slice(),
): TakeAnalysis | null {
  const request = {
    exercise: row.change?.(written) ?? written,
    hornId: row.hornId,
    a4Hz: 440,
    scale: DEFAULT_SCALE,
    profile: { ...PROFILES.steady, responseMs: 100, ...row.profile },
    faults: [...(row.faults ?? [])],
    sampleRateHz: RATE,
    seed,
    leadSeconds: 0.8,
    tailSeconds: 1,
  };
  let heard: { track: FrameTrack; beatZeroSeconds: number };
  let holes: NonPlayerSpan[] = [];
  const listen = (samples: Float32Array): FrameTrack => {
    const sound = disturb(samples, RATE);
    holes = findHoles(sound, RATE);
    return listenTo(sound, RATE);
  };
  const make =
    ear === 'additive' ? additiveSound : ear === 'simulated' || row.onlySimulated ? playExercise : ear;
  if (make === 'truth') heard = truthTrack(request);
  else {
    const { samples, beatZeroSeconds } = make(request);
    heard = { track: listen(samples), beatZeroSeconds };
  }
  return analyseTake(
    heard.track,
    {
      exercise: written,
      hornId: row.hornId,
      a4Hz: 440,
      scale: DEFAULT_SCALE,
      toleranceId: 'usual',
      roomFloorDb: null,
      beatZeroSeconds: written.start === 'countIn' ? heard.beatZeroSeconds : null,
      ...row.context,
    },
    holes,
  );
}

/** Plays a row and judges it by what is written. */
export function runRow(row: VerdictRow, ear: Ear, seed = 7, disturb?: Disturb): RowResult {
  const written = writtenOf(row);
  const analysis = playAndJudge(written, row, ear, seed, disturb);
  const items = analysis?.items ?? [];
  return { row, written, analysis, said: saidOf(items), wrong: wrongOf(row, items) };
}

/** The same by a hand that holds no pitch to half a cent: it wanders, and is flat where it is loud. Each partial goes through the echoes of a room by itself then. */
export const byHand = (row: VerdictRow): VerdictRow => ({
  ...row,
  profile: { jitterCents: 1.5, bendCentsPer10Db: -4, ...row.profile },
});

/** The same, asked only whether what must be said is: what else is said beside it counts among the takes without a fault. */
export const onlyWanted = ({ only: _only, never: _never, ...row }: VerdictRow): VerdictRow => row;

const kindsOf = ({ verdict }: ItemAnalysis) => verdict?.findings.map(({ kind }) => kind) ?? [];
const standsOut = ({ verdict }: ItemAnalysis) => verdict?.findings.filter((each) => !isNeutral(each)) ?? [];

function saidOf(items: readonly ItemAnalysis[]): string {
  const said = items.filter((item) => standsOut(item).length > 0);
  const each = said.map(
    (item) =>
      `${item.item}: ${standsOut(item)
        .map(({ kind, ...figures }) => `${kind}${figuresText(figures)}`)
        .join(' + ')}`,
  );
  return each.join('; ') || [...new Set(items.flatMap(kindsOf))].join(', ') || 'nothing';
}

function figuresText(figures: object): string {
  const values = Object.entries(figures).filter(
    (entry): entry is [string, number] => typeof entry[1] === 'number',
  );
  return values.length === 0
    ? ''
    : ` (${values.map(([name, value]) => `${name} ${value.toFixed(1)}`).join(', ')})`;
}

function wrongOf({ wanted, only, never = [] }: VerdictRow, items: readonly ItemAnalysis[]): string | null {
  if (items.length === 0) return 'nothing was heard';
  const bad = items.flatMap((item) => kindsOf(item).filter((kind) => never.includes(kind)));
  if (bad.length > 0) return `said ${bad.join(', ')}`;
  if (wanted === 'passes') {
    const blamed = items.filter((item) => standsOut(item).length > 0);
    return blamed.length === 0 ? null : `blamed ${blamed.map(({ item }) => item).join(', ')}`;
  }
  const beside = items.filter((item) => only?.includes(item.item) === false && standsOut(item).length > 0);
  if (beside.length > 0) return `blamed ${beside.map(({ item }) => item).join(', ')}`;
  const missing = Object.entries(wanted).filter(
    ([item, kinds]) => !kindsOf(items[Number(item)]).some((kind) => kinds.includes(kind)),
  );
  return missing.length === 0
    ? null
    : missing.map(([item, kinds]) => `${item} lacks ${kinds.join(' or ')}`).join('; ');
}

type Change = (written: Exercise) => Exercise;

/** Changes the items of an exercise of one phrase. */
export const items =
  (change: (item: ExerciseItem, index: number, all: readonly ExerciseItem[]) => ExerciseItem): Change =>
  (written) => ({
    ...written,
    phrases: written.phrases.map((phrase) => ({ ...phrase, items: phrase.items.map(change) })),
  });

/** Changes its notes; `index` counts items. */
export const notes = (change: (note: NoteItem, index: number) => NoteItem): Change =>
  items((item, index) => (item.kind === 'note' ? change(item, index) : item));

/** A note in a straight line from one mark to another. */
export const between = (note: NoteItem, from: DynamicMark, to: DynamicMark): NoteItem => ({
  ...note,
  dynamics: [
    { beat: 0, mark: from },
    { beat: note.lengthBeats, mark: to },
  ],
});

/** Every note at one mark. */
export const flat = (mark: DynamicMark): Change => notes((note) => between(note, mark, mark));

/** One item's note from one mark to another. */
export const marked = (at: number, from: DynamicMark, to: DynamicMark): Change =>
  notes((note, index) => (index === at ? between(note, from, to) : note));

/** Every note held so many beats longer (shorter where negative), out of the rest after it. */
export const longer = (beats: number): Change =>
  items((item, index, all) => {
    if (item.kind === 'note') return withLength(item, item.lengthBeats + beats);
    const isAfterNote = index > 0 && all[index - 1].kind === 'note';
    return item.kind === 'rest' && isAfterNote
      ? { ...item, lengthBeats: Math.max(0.25, item.lengthBeats - beats) }
      : item;
  });

/** Which items of a drill's score are notes. */
export const noteItems = (drill: Drill): number[] =>
  scoreOf(writtenOf(drill)).flatMap(({ item }, index) => (item.kind === 'note' ? [index] : []));

/** A phrase of a drill on a horn. */
export const drillOf = (family: FamilyId, hornId: HornId, phrase = 0, choices: Choices = {}): Drill => ({
  family,
  hornId,
  phrase,
  choices,
});

/** The horns that most play. */
export const FOUR: readonly HornId[] = ['soprano', 'alto', 'tenor', 'baritone'];

/** One of these kinds of every note. */
export const told = (drill: Drill, kinds: readonly FindingKind[], except: readonly number[] = []): Wanted =>
  Object.fromEntries(
    noteItems(drill)
      .filter((item) => !except.includes(item))
      .map((item) => [item, kinds]),
  );

/** The same fault on every note. */
export const onEvery = (drill: Drill, fault: (item: number) => ItemFault): ItemFault[] =>
  noteItems(drill).map(fault);
