import type { Judged } from '../exercise/index.ts';
import type { Advice } from './advice.ts';
import { findingRow, type Finding } from './finding.ts';
import type { Tolerance } from './tolerances.ts';

export interface Verdict {
  /** One or two, the weightiest first. */
  findings: Finding[];
  advice: Advice;
  /** The pitch and level band by which this was judged. */
  band: { pitchCents: number; swellErrorDb: number };
}

/** A finding with the weight it has against others and the advice it calls for. */
export interface Weighed {
  finding: Finding;
  advice: Advice;
  weight: number;
}

/** Puts findings in order of weight; what an item is not judged by is left out (`judged` null: everything counts). */
export function rankFindings(findings: readonly Finding[], judged: readonly Judged[] | null): Weighed[] {
  return findings
    .filter((finding) => {
      const by = findingRow(finding).judged;
      return judged === null || by === null || judged.includes(by);
    })
    .map((finding) => {
      const { advice, weight } = findingRow(finding);
      return { finding, advice, weight };
    })
    .toSorted((a, b) => b.weight - a.weight);
}

/** The verdict of what was found; `plain` is what there is to say where nothing stood out. */
export function decideVerdict(
  findings: readonly Finding[],
  plain: Finding,
  judged: readonly Judged[] | null,
  tolerance: Tolerance,
): Verdict {
  const found = rankFindings(findings, judged);
  const told = found.length > 0 ? found : rankFindings([plain], null);
  return {
    findings: told.slice(0, 2).map(({ finding }) => finding),
    advice: told[0].advice,
    band: { pitchCents: tolerance.pitchCents, swellErrorDb: tolerance.swellErrorDb },
  };
}
