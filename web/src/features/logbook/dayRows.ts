import type { TakeRecord } from '../../storage/index.ts';

/** What a day's list has a line for: a take, or the takes of a round. */
export type DayRow = { kind: 'take'; take: TakeRecord } | { kind: 'round'; id: string; takes: TakeRecord[] };

/** Rounds of fewer takes are listed take by take. */
const LEAST_OF_ROUND = 3;

/** The takes of a day, those of a round together where its first one stands. */
export function dayRows(takes: readonly TakeRecord[]): DayRow[] {
  const rounds = new Map<string, TakeRecord[]>();
  for (const take of takes)
    if (take.roundId !== null) rounds.set(take.roundId, [...(rounds.get(take.roundId) ?? []), take]);
  const listed = new Set<string>();
  return takes.flatMap((take): DayRow[] => {
    const round = take.roundId === null ? [] : (rounds.get(take.roundId) ?? []);
    if (take.roundId === null || round.length < LEAST_OF_ROUND) return [{ kind: 'take', take }];
    if (listed.has(take.roundId)) return [];
    listed.add(take.roundId);
    return [{ kind: 'round', id: take.roundId, takes: round }];
  });
}
