import { isNeutral, isNotJudged } from './finding.ts';
import { figuresOf, type FigureId } from '../figures/index.ts';
import { median } from '../stats/index.ts';
import type { ItemAnalysis } from './itemAnalysis.ts';
import type { JudgedNote } from './judgeNote.ts';
import type { JudgeContext } from './judgeContext.ts';
import type { TakeMeasures } from './measures.ts';
import { measureNote } from './noteMeasures.ts';
import { joinNotes } from './noteTrack.ts';
import type { Tolerance } from './tolerances.ts';
import { decideVerdict, rankFindings, type Verdict } from './verdict.ts';

/** The verdict of a whole take. */
export interface WholeVerdict extends Verdict {
  /** Which item of the score each finding belongs to. */
  of: number[];
  /** Items that were judged, and how many of them were as written. */
  judged: number;
  asWritten: number;
}

/**
 * The figures of a take: those of its only note, or over the steady parts of all notes. Then swellErrorDb is the root of
 * the mean square over them, response and peak are medians, and the hold is that of the note that held longest.
 */
export function measureWhole({ secondsPerBeat }: JudgeContext, notes: readonly JudgedNote[]): TakeMeasures {
  if (notes.length === 1) {
    const [{ measures }] = notes;
    return measures;
  }
  const all = notes.map(({ measures }) => measures);
  const numbers = (values: (number | null)[]) => values.filter((value) => value !== null);
  const mediansOf = <Name extends FigureId & keyof TakeMeasures>(names: readonly Name[]) =>
    Object.fromEntries(names.map((name) => [name, median(numbers(all.map((each) => each[name])))])) as Record<
      Name,
      number | null
    >;
  const errors = numbers(all.map(({ swellErrorDb }) => swellErrorDb));
  const squares = errors.reduce((sum, error) => sum + error * error, 0);
  const wrongWay = numbers(all.map(({ wrongWayPercent }) => wrongWayPercent));
  const longest = all.reduce<TakeMeasures | null>(
    (best, each) => ((each.holdSeconds ?? 0) > (best?.holdSeconds ?? -1) ? each : best),
    null,
  );
  const holdSeconds = longest?.holdSeconds ?? null;
  const worst = numbers(all.map(({ stairs }) => stairs.worstDb));
  return {
    ...measureNote(joinNotes(notes.map(({ read }) => read)), { hasCourse: false }),
    ...mediansOf([...figuresOf('start'), 'levelOffsetDb', 'peakOffsetBeats']),
    swellErrorDb: errors.length === 0 ? null : Math.sqrt(squares / errors.length),
    stairs: {
      count: all.reduce((sum, { stairs }) => sum + stairs.count, 0),
      worstDb: worst.length === 0 ? null : Math.max(...worst),
    },
    wrongWayPercent:
      wrongWay.length === 0 ? null : wrongWay.reduce((sum, each) => sum + each, 0) / wrongWay.length,
    holdSeconds,
    holdBeats: holdSeconds === null ? null : holdSeconds / secondsPerBeat,
    holdCause: longest?.holdCause ?? null,
  };
}

/**
 * How many notes were judged, and how many of them were as written: rests, air and what is imagined are no notes, and what was too short
 * to judge is left out. A note before which a breath was drawn that was to be held is not as written. Where there is no note, everything counts.
 */
export function countNotes(items: readonly ItemAnalysis[]): { judged: number; asWritten: number } {
  const all = items.filter(({ verdict }) => verdict !== null);
  const hasNotes = all.some(({ kind }) => kind === 'note');
  const isCalm = ({ verdict }: ItemAnalysis) => verdict?.findings.every(isNeutral) ?? true;
  const counted = all.filter(
    ({ kind, verdict }) =>
      (!hasNotes || kind === 'note' || kind === 'hum') && !verdict?.findings.some(isNotJudged),
  );
  const followsFault = (item: ItemAnalysis) =>
    items.some((other) => other.kind === 'rest' && other.item === item.item - 1 && !isCalm(other));
  return {
    judged: counted.length,
    asWritten: counted.filter((item) => isCalm(item) && !followsFault(item)).length,
  };
}

/** The two weightiest findings of all items, the earlier first where they weigh the same. */
export function reachWholeVerdict(items: readonly ItemAnalysis[], tolerance: Tolerance): WholeVerdict {
  const judged = items.filter(({ verdict }) => verdict !== null);
  const told = judged
    .flatMap(({ item, verdict }) =>
      rankFindings(verdict?.findings ?? [], null).map((each) => ({ ...each, item })),
    )
    .toSorted((a, b) => b.weight - a.weight);
  const standsOut = told.filter(({ finding }) => !isNeutral(finding)).slice(0, 2);
  // Where nothing stood out it is a note that is told of, not the air or the silence before it.
  const isNote = (item: number) => items.some((each) => each.item === item && each.kind === 'note');
  const calm = told.find(({ item }) => isNote(item)) ?? told.at(0);
  const shown = standsOut.length > 0 ? standsOut : calm ? [calm] : [];
  const only = judged.length === 1 ? judged[0].verdict : null;
  const findings = shown.map(({ finding }) => finding);
  const whole = only ?? decideVerdict(findings, { kind: 'missed' }, null, tolerance);
  return {
    ...whole,
    advice: only || standsOut.length > 0 ? whole.advice : 'moveOn',
    of: only ? only.findings.map(() => judged[0].item) : shown.map(({ item }) => item),
    ...countNotes(items),
  };
}
