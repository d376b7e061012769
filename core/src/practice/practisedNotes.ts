import { scoreOf } from '../exercise/index.ts';
import type { WrittenMidi } from '../horn/index.ts';
import {
  isNeutral,
  isNotJudged,
  type ItemAnalysis,
  type TakeAnalysis,
  type TakeContext,
} from '../judge/index.ts';
import { figuresOf, type Figures } from './figures.ts';

/** One judged item of a take: what it was practice of, how it went, and its figures. */
export interface PractisedNote {
  /** Name of the family; null in an own exercise. */
  family: string | null;
  /** The note that was asked for, and the one whose fingering was held. */
  writtenMidi: WrittenMidi;
  fingeredMidi: WrittenMidi;
  /** The day (`yyyy-MM-dd`) of the place where it was played: an evening is one day, whatever UTC says. */
  day: string;
  /** When its take began, in ms. */
  at: number;
  /** How long it sounded; 0 where it did not. */
  seconds: number;
  asWritten: boolean;
  figures: Figures;
}

const secondsOf = ({ startSeconds, endSeconds }: ItemAnalysis) =>
  startSeconds === null || endSeconds === null ? 0 : Math.max(0, endSeconds - startSeconds);

/** What a judged take was practice of, note by note; air and hums count for their note. */
export function practisedNotes(
  { exercise }: Pick<TakeContext, 'exercise'>,
  { items }: TakeAnalysis,
  { day, startedAt: at }: { day: string; startedAt: number },
): PractisedNote[] {
  const score = scoreOf(exercise);
  return items.flatMap((item): PractisedNote[] => {
    const written = score.at(item.item)?.item;
    if (!item.verdict || !written || !('writtenMidi' in written)) return [];
    // Air that was not heard says nothing of who played; nor does what could not be judged.
    if (item.verdict.findings.some((finding) => finding.kind === 'airUnheard' || isNotJudged(finding)))
      return [];
    const { writtenMidi } = written;
    return [
      {
        family: exercise.family,
        writtenMidi,
        fingeredMidi: written.kind === 'note' ? (written.fingered ?? writtenMidi) : writtenMidi,
        day,
        at,
        seconds: secondsOf(item),
        asWritten: item.verdict.findings.every(isNeutral),
        figures: figuresOf(item, written),
      },
    ];
  });
}
