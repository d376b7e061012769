import { matchTries, type MatchSound, type MatchTry } from '@inner-hum/core/plan';
import type { TakeRecord } from '../../storage/index.ts';

/** A match with the take it was played in. */
export interface PlayedMatch extends MatchTry {
  takeId: string;
  startedAt: number;
  sampleRateHz: number;
}

/** Matches of one pitch by the same two fingerings, oldest first. */
export interface MatchPair {
  key: string;
  tries: PlayedMatch[];
}

const soundKey = ({ fingered, keys }: MatchSound) => keys?.join('') ?? String(fingered);

/** All pairs that were ever matched, the one played last first. */
export function matchPairs(takes: readonly TakeRecord[]): MatchPair[] {
  const pairs = new Map<string, PlayedMatch[]>();
  const played = takes
    .flatMap(({ id, context, analysis, startedAt, sampleRateHz }) =>
      context && analysis
        ? matchTries(context, analysis).map((match) => ({ ...match, takeId: id, startedAt, sampleRateHz }))
        : [],
    )
    .toSorted((a, b) => a.startedAt - b.startedAt);
  for (const match of played) {
    const key = `${match.sounding}/${soundKey(match.first)}/${soundKey(match.second)}`;
    pairs.set(key, [...(pairs.get(key) ?? []), match]);
  }
  return [...pairs]
    .map(([key, tries]) => ({ key, tries }))
    .toSorted((a, b) => (b.tries.at(-1)?.startedAt ?? 0) - (a.tries.at(-1)?.startedAt ?? 0));
}
