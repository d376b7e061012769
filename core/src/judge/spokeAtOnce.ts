import { isNotJudged, type FindingKind } from './finding.ts';
import type { ItemAnalysis } from './itemAnalysis.ts';

/** It did not sound, sounded on another partial first or instead, or the air went long before it did. */
const NOT_AT_ONCE: ReadonlySet<FindingKind> = new Set<FindingKind>([
  ...(['missed', 'onlySquawk', 'wrongNote', 'lowPartial', 'highPartial'] as const),
  ...(['firstPartial', 'squawk', 'response'] as const),
]);

/** Farther off than this it was another note. */
const ANOTHER_NOTE_CENTS = 100;

/** Whether it was the written note that spoke, by its mean distance from its target in cents; null, where none was heard, is no. */
export const spokeAsWritten = (centsMean: number | null): boolean =>
  centsMean !== null && Math.abs(centsMean) < ANOTHER_NOTE_CENTS;

/** Whether a note spoke at once; null where that could not be judged, and of what is no note. */
export function spokeAtOnce({ kind, verdict }: ItemAnalysis): boolean | null {
  if (kind !== 'note' || !verdict || verdict.findings.some(isNotJudged)) return null;
  return verdict.findings.every((finding) => !NOT_AT_ONCE.has(finding.kind));
}
