import type { TakeAnalysis } from './takeAnalysis.ts';
import type { Advice } from './advice.ts';
import { adviceInPlace, type AdvicePlace } from './adviceInPlace.ts';
import { isNeutral, type Finding } from './finding.ts';
import { countNotes } from './wholeTake.ts';
import { rankFindings } from './verdict.ts';

/** What a whole round comes to. */
export interface RoundVerdict {
  /** Items that were judged, and how many of them were as written. */
  judged: number;
  asWritten: number;
  /** What stood out most often, in how many places, with the weightiest of them; null where nothing did. */
  recurring: { count: number; finding: Finding } | null;
  advice: Advice;
}

/** The verdict over the phrases of a round: what recurs counts before what was worst once. */
export function judgeRound(
  phrases: readonly Pick<TakeAnalysis, 'items'>[],
  place: Omit<AdvicePlace, 'note'>,
): RoundVerdict {
  const counts = phrases.map(({ items }) => countNotes(items));
  const sum = (name: 'judged' | 'asWritten') => counts.reduce((all, each) => all + each[name], 0);
  const judged = phrases.flatMap(({ items }) => items).filter(({ verdict }) => verdict !== null);
  const stood = judged.flatMap(({ verdict }) =>
    (verdict?.findings ?? []).filter((finding) => !isNeutral(finding)),
  );
  const weighed = rankFindings(stood, null);
  const count = ({ finding }: (typeof weighed)[number]) =>
    stood.filter(({ kind }) => kind === finding.kind).length;
  // Where nothing stood out it is advised as after its last note.
  const last = judged.at(-1)?.verdict;
  const most = weighed.toSorted((a, b) => count(b) - count(a) || b.weight - a.weight).at(0);
  return {
    judged: sum('judged'),
    asWritten: sum('asWritten'),
    recurring: most ? { count: count(most), finding: most.finding } : null,
    advice: adviceInPlace(most?.advice ?? last?.advice ?? 'moveOn', { ...place, note: null }),
  };
}
