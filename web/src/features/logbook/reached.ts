import { milestonesOf, unpackNotes, type Milestone } from '@inner-hum/core/practice';
import type { PracticeDayRecord } from '../../storage/index.ts';

/** The horns of some days of practice, each once. */
export const hornsIn = (practice: readonly PracticeDayRecord[]) => [
  ...new Set(practice.map(({ hornId }) => hornId)),
];

/** What was reached on each horn since a moment (in ms), against all that is given. */
export function reachedSince(practice: readonly PracticeDayRecord[], from: number): Milestone[] {
  return hornsIn(practice).flatMap((id) =>
    milestonesOf(practice.filter(({ hornId }) => hornId === id).flatMap(unpackNotes)).filter(
      ({ at }) => at >= from,
    ),
  );
}
