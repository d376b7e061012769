import { isAlone, noteTarget, scoreOf, type NoteItem } from '../exercise/index.ts';
import { LAST_FUNDAMENTAL, pureCents, type WrittenMidi } from '../horn/index.ts';
import { TOLERANCES, type TakeAnalysis, type TakeContext } from '../judge/index.ts';

/** One try at a rung: a partial of a fingering. */
export interface RungTry {
  fingered: WrittenMidi;
  partial: number;
  /** The right partial spoke, at once and within the allowed response. */
  spoke: boolean;
  /** What sounded instead; null where it was the right one, or nothing. */
  heardPartial: number | null;
  /** From the equal-tempered note; null where the right partial was not heard. */
  cents: number | null;
  /** On the right partial. */
  holdSeconds: number | null;
  /** Until the right partial stood clear; null where it never did, or was not measured yet. */
  clearSeconds: number | null;
  at: number;
}

/** Fingered on the Ladder: an overtone of any fingering, or a low note by itself. */
const isRung = (item: NoteItem) =>
  item.keys === undefined && (item.fingered !== null || item.writtenMidi <= LAST_FUNDAMENTAL);

/** What a judged take tells of rungs, one entry a note that is one; `at` is when it was played, in ms. */
export function rungTries(context: TakeContext, analysis: TakeAnalysis, at: number): RungTry[] {
  const { exercise, hornId, a4Hz, toleranceId } = context;
  const score = scoreOf(exercise);
  if (isAlone(exercise)) return [];
  return analysis.items.flatMap((item): RungTry[] => {
    const written = score.at(item.item)?.item;
    if (item.kind !== 'note' || written?.kind !== 'note' || !isRung(written)) return [];
    const { partial } = noteTarget(exercise, written, hornId, a4Hz);
    const heard = item.heardPartial ?? null;
    const measures = item.status === 'played' ? item.measures : null;
    const onTime = (measures?.responseMs ?? 0) <= TOLERANCES[toleranceId].responseMs;
    const isRight = measures !== null && (heard === null || heard === partial);
    const pure = exercise.overtones === 'pure' && written.fingered !== null ? pureCents(partial) : 0;
    return [
      {
        fingered: written.fingered ?? written.writtenMidi,
        partial,
        spoke: isRight && measures.firstPartial === null && onTime,
        heardPartial: heard === partial ? (measures?.firstPartial ?? null) : heard,
        cents: isRight && measures.centsMean !== null ? measures.centsMean + pure : null,
        holdSeconds: isRight ? measures.holdSeconds : null,
        // Takes of before it was measured have none.
        clearSeconds: isRight ? ((measures.clearSeconds as number | null | undefined) ?? null) : null,
        at,
      },
    ];
  });
}
