import type { HornId } from '@inner-hum/core/horn';
import { database } from './database.ts';
import { isListed } from './listed.ts';
import type { RoundRecord, TakeRecord } from './records.ts';

export async function storeRound(round: RoundRecord): Promise<void> {
  await database().rounds.put(round);
}

/** One round, or null where there is none. */
export async function readRound(id: string): Promise<RoundRecord | null> {
  return (await database().rounds.get(id)) ?? null;
}

/** The takes of a round as they were played; a phrase played again is there again. */
export function readRoundTakes(roundId: string): Promise<TakeRecord[]> {
  return takesOfRounds([roundId]);
}

/** Rounds of one family on a horn, oldest first. */
export async function listRounds(family: string, hornId: HornId): Promise<RoundRecord[]> {
  return database()
    .rounds.orderBy('startedAt')
    .filter((round) => round.hornId === hornId && round.exercise.family === family)
    .toArray();
}

/** The takes of several rounds, as they were played. */
export async function takesOfRounds(roundIds: readonly string[]): Promise<TakeRecord[]> {
  const takes = await database().takes.where('roundId').anyOf(roundIds).sortBy('startedAt');
  return takes.filter(isListed);
}

export interface RoundTakes {
  round: RoundRecord;
  takes: TakeRecord[];
}

/** The rounds that were played at an address, oldest first, with their takes. */
export async function roundsAt(address: string): Promise<RoundTakes[]> {
  const rounds = await database()
    .rounds.orderBy('startedAt')
    .filter((round) => round.address === address)
    .toArray();
  const takes = await takesOfRounds(rounds.map(({ id }) => id));
  return rounds.map((round) => ({ round, takes: takes.filter(({ roundId }) => roundId === round.id) }));
}

/** When each address was last played as a round before a moment, in ms. */
export async function lastRounds(before: number): Promise<ReadonlyMap<string, number>> {
  const last = new Map<string, number>();
  await database()
    .rounds.where('startedAt')
    .below(before)
    .each(({ address, startedAt }) => last.set(address, Math.max(startedAt, last.get(address) ?? 0)));
  return last;
}
