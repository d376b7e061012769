import type { Exercise } from '@inner-hum/core/exercise';
import { holdOf, proposeTempo, type TempoProposal } from '@inner-hum/core/plan';
import { useLiveQuery } from 'dexie-react-hooks';
import { recentJudged, type SettingsRecord } from '../../storage/index.ts';

/** The tempo at which this player is likely to finish the exercise in one breath; null where nothing is known. */
export function useBreathBudget(
  exercise: Exercise,
  source: SettingsRecord['source'] | null,
): TempoProposal | null {
  const takes = useLiveQuery(() => (source === null ? [] : recentJudged(source)), [source]);
  if (!takes) return null;
  const holds = takes.flatMap(({ context, analysis }) => {
    const hold = context && analysis && holdOf(context.exercise, analysis);
    return hold ? [hold] : [];
  });
  return proposeTempo(exercise, holds);
}
