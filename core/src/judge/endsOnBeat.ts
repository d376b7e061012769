import { skillOf, type Skill } from '../exercise/index.ts';
import type { JudgeContext } from './judgeContext.ts';

/** Where a last note is about its end; in the others it is held as long as one likes. */
const ENDS_COUNT: ReadonlySet<Skill> = new Set(['start', 'swell', 'own']);

/** Whether the end of a note has a beat: a written rest follows, or a counted phrase is over, and it is not held as long as it is good. */
export function endsOnBeat({ score, context: { exercise } }: JudgeContext, index: number): boolean {
  const { item, phrase } = score[index];
  if (item.kind !== 'note' || item.open || exercise.start === 'ownTime') return false;
  const next = score.at(index + 1);
  if (next?.phrase === phrase) return next.item.kind === 'rest';
  return exercise.start === 'countIn' && score.length > 1 && ENDS_COUNT.has(skillOf(exercise.family));
}
