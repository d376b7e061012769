import type { SessionView } from './sessionSlice.ts';
import type { VisitState } from './visitState.ts';

/** What rooms show of a visit. */
export function viewOf({ phase, wants, restUntil, endedTakeId }: VisitState): SessionView {
  const round = wants === 'free' ? null : wants;
  return {
    phase,
    takeId: endedTakeId,
    round: {
      id: round?.record?.id ?? null,
      // While its verdict is up, the phrase that was played.
      index: (phase === 'resting' ? round?.ended : null) ?? round?.index ?? 0,
      count: round?.count ?? 0,
      restUntil,
      paused: phase === 'paused',
      over: round?.over ?? false,
    },
  };
}
