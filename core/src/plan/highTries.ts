import { isAlone, noteTarget, scoreOf } from '../exercise/index.ts';
import {
  fingeringKey,
  isHighNote,
  readFingeringKey,
  regularFingering,
  type Fingering,
  type WrittenMidi,
} from '../horn/index.ts';
import { TOLERANCES, type NoteAnalysis, type TakeAnalysis, type TakeContext } from '../judge/index.ts';
import { median, rateDifference, wilson, type Interval } from '../stats/index.ts';

/** What came of a try: the note at once, the note after something else, or what sounded instead. */
export type HighOutcome = 'spoke' | 'slow' | 'squawk' | 'neighbour' | 'fellBack' | 'other' | 'silent';

/** One try at a high note by one fingering. */
export interface HighTry {
  writtenMidi: WrittenMidi;
  /** The keys pressed, as one word. */
  fingering: string;
  outcome: HighOutcome;
  /** From the note, and its half-width; null where the right partial was not heard. */
  cents: number | null;
  spreadCents: number | null;
  /** Where the exercise bends it. */
  bendRangeCents: number | null;
  at: number;
}

/** What a judged take tells of high notes, one entry a note that is one; `at` is when it was played, in ms. */
export function highTriesIn(context: TakeContext, analysis: TakeAnalysis, at: number): HighTry[] {
  const { exercise, hornId, a4Hz, toleranceId } = context;
  const score = scoreOf(exercise);
  if (isAlone(exercise)) return [];
  return analysis.items.flatMap((item): HighTry[] => {
    const written = score.at(item.item)?.item;
    if (item.kind !== 'note' || written?.kind !== 'note') return [];
    if (!isHighNote(written.writtenMidi) || written.fingered !== null) return [];
    const { partial } = noteTarget(exercise, written, hornId, a4Hz);
    const outcome = outcomeOf(item, partial, TOLERANCES[toleranceId].responseMs);
    const { measures } = item;
    const isRight = outcome === 'spoke' || outcome === 'slow' || outcome === 'fellBack';
    const isHeld = isRight && !written.bend;
    return [
      {
        writtenMidi: written.writtenMidi,
        fingering: fingeringKey(written.keys ?? regularFingering(written.writtenMidi)),
        outcome,
        cents: isHeld ? (measures?.centsMean ?? null) : null,
        spreadCents: isHeld ? (measures?.centsSpread ?? null) : null,
        bendRangeCents: isRight ? (measures?.bendRangeCents ?? null) : null,
        at,
      },
    ];
  });
}

function outcomeOf(
  { status, measures, heardPartial, verdict }: NoteAnalysis,
  partial: number,
  allowedMs: number,
): HighOutcome {
  const told = (kind: string) => verdict?.findings.some((finding) => finding.kind === kind) ?? false;
  if (told('onlySquawk')) return 'squawk';
  if (status !== 'played' || !measures) {
    if (typeof heardPartial === 'number' && heardPartial !== partial) return 'neighbour';
    return status === 'wrongNote' ? 'other' : 'silent';
  }
  if (told('fellBack')) return 'fellBack';
  if (typeof heardPartial === 'number' && heardPartial !== partial) return 'neighbour';
  if (measures.squawkMs) return 'squawk';
  if (measures.firstPartial !== null) return 'neighbour';
  return (measures.responseMs ?? 0) > allowedMs ? 'slow' : 'spoke';
}

/** Everything known of one fingering of a high note. */
export interface HighFigures {
  fingering: Fingering;
  tries: number;
  spoke: number;
  /** speakRate: share of tries that spoke, 0-1, with its 90 % interval; null where none was made. */
  rate: number | null;
  interval: Interval | null;
  /** What most often came instead; null where nothing did. */
  instead: Exclude<HighOutcome, 'spoke'> | null;
  /** Medians over the tries that sounded. */
  cents: number | null;
  spreadCents: number | null;
  /** The farthest it was bent. */
  bendRangeCents: number | null;
  lastAt: number | null;
}

/** Lately counts: more tries than this are not looked back at. */
const LATEST = 40;

/** How one fingering (as a word) of a note has done lately. A drop is no try at speaking. */
export function highFigures(note: WrittenMidi, fingering: string, all: readonly HighTry[]): HighFigures {
  const own = all
    .filter((each) => each.writtenMidi === note && each.fingering === fingering)
    .toSorted((a, b) => a.at - b.at);
  const tries = own.filter(({ bendRangeCents }) => bendRangeCents === null).slice(-LATEST);
  const spoke = tries.filter(({ outcome }) => outcome === 'spoke').length;
  const present = (read: (each: HighTry) => number | null) =>
    own
      .slice(-LATEST)
      .map(read)
      .filter((value) => value !== null);
  const instead = tries.flatMap(({ outcome }) => (outcome === 'spoke' ? [] : [outcome]));
  const bends = present(({ bendRangeCents }) => bendRangeCents);
  return {
    fingering: readFingeringKey(fingering),
    tries: tries.length,
    spoke,
    rate: tries.length === 0 ? null : spoke / tries.length,
    interval: wilson(spoke, tries.length),
    instead: mostCommon(instead),
    cents: median(present(({ cents }) => cents)),
    spreadCents: median(present(({ spreadCents }) => spreadCents)),
    bendRangeCents: bends.length === 0 ? null : Math.max(...bends),
    lastAt: own.at(-1)?.at ?? null,
  };
}

function mostCommon<Value>(values: readonly Value[]): Value | null {
  const count = (value: Value) => values.filter((each) => each === value).length;
  return values.reduce<Value | null>(
    (best, value) => (best === null || count(value) > count(best) ? value : best),
    null,
  );
}

/**
 * The fingering that speaks more often than every other one tried, where the 90 % interval of each difference stays over zero;
 * null where the tries do not tell yet.
 */
export function speaksBest(all: readonly HighFigures[]): HighFigures | null {
  const tried = all.filter(({ tries }) => tries > 0);
  if (tried.length < 2) return null;
  return (
    tried.find((one) =>
      tried.every(
        (other) =>
          other === one || (rateDifference(one.spoke, one.tries, other.spoke, other.tries)?.low ?? 0) > 0,
      ),
    ) ?? null
  );
}
