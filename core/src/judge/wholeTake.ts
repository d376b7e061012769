import { isNeutral } from './finding.ts';
import { median } from '../stats/index.ts';
import type { ItemAnalysis } from './itemAnalysis.ts';
import type { JudgedNote } from './judgeNote.ts';
import type { JudgeContext } from './judgeContext.ts';
import type { TakeMeasures } from './measures.ts';
import { measureNote } from './noteMeasures.ts';
import { joinNotes } from './noteTrack.ts';
import type { Tolerance } from './tolerances.ts';
import { decideVerdict, rankFindings, type Verdict } from './verdict.ts';

/** Slopes and ends across several notes would tell of the notes, not of the playing. */
export const NO_SLOPES = {
  driftCentsPerSecond: null,
  softEndCents: null,
  loudEndCents: null,
  bendWithLevel: null,
  bendWithLevelR2: null,
  levelDriftDbPerSecond: null,
  colourShift: null,
  vibratoHz: null,
  vibratoCents: null,
  vibratoRegularity: null,
} satisfies Partial<TakeMeasures>;

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
 * the mean square over them, response and peak are medians, and the hold lasts until the first note that failed.
 */
export function measureWhole({ secondsPerBeat }: JudgeContext, notes: readonly JudgedNote[]): TakeMeasures {
  if (notes.length === 1) {
    const [{ measures }] = notes;
    return measures;
  }
  const all = notes.map(({ measures }) => measures);
  const numbers = (values: (number | null)[]) => values.filter((value) => value !== null);
  const errors = numbers(all.map(({ swellErrorDb }) => swellErrorDb));
  const squares = errors.reduce((sum, error) => sum + error * error, 0);
  const wrongWay = numbers(all.map(({ wrongWayPercent }) => wrongWayPercent));
  const failed = notes.find(({ measures }) => measures.holdCause !== 'completed');
  const first = notes.at(0);
  const last = failed ?? notes.at(-1);
  const holdSeconds =
    first && last ? last.onsetSeconds - first.onsetSeconds + (last.measures.holdSeconds ?? 0) : null;
  const worst = numbers(all.map(({ stairs }) => stairs.worstDb));
  return {
    ...measureNote(joinNotes(notes.map(({ read }) => read))),
    ...NO_SLOPES,
    responseMs: median(numbers(all.map(({ responseMs }) => responseMs))),
    swellErrorDb: errors.length === 0 ? null : Math.sqrt(squares / errors.length),
    levelOffsetDb: median(numbers(all.map(({ levelOffsetDb }) => levelOffsetDb))),
    stairs: {
      count: all.reduce((sum, { stairs }) => sum + stairs.count, 0),
      worstDb: worst.length === 0 ? null : Math.max(...worst),
    },
    wrongWayPercent:
      wrongWay.length === 0 ? null : wrongWay.reduce((sum, each) => sum + each, 0) / wrongWay.length,
    peakOffsetBeats: median(numbers(all.map(({ peakOffsetBeats }) => peakOffsetBeats))),
    holdSeconds,
    holdBeats: holdSeconds === null ? null : holdSeconds / secondsPerBeat,
    holdCause: last?.measures.holdCause ?? null,
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
  const shown = standsOut.length > 0 ? standsOut : told.slice(0, 1);
  const only = judged.length === 1 ? judged[0].verdict : null;
  const findings = shown.map(({ finding }) => finding);
  const whole = only ?? decideVerdict(findings, { kind: 'missed' }, null, tolerance);
  return {
    ...whole,
    advice: only || standsOut.length > 0 ? whole.advice : 'moveOn',
    of: only ? only.findings.map(() => judged[0].item) : shown.map(({ item }) => item),
    judged: judged.length,
    asWritten: judged.filter(({ verdict }) => verdict?.findings.every(isNeutral)).length,
  };
}
