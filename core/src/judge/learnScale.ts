import type { DynamicScale } from '../exercise/index.ts';
import { percentile } from '../stats/index.ts';

/** What one kept take says about the player's loudness: 5th and 95th percentile of its level. */
export interface TakeLoudness {
  softDb: number;
  loudDb: number;
}

const LEAST_TAKES = 3;
const LEAST_SPAN_DB = 14;

/**
 * The player's dynamic scale from the takes played so far at this microphone place. Quietest and loudest
 * playing are taken for pp and ff (a tenth of the takes may be odd), ppp and fff lie one mark beyond. Returns
 * `current` unchanged where it was calibrated, where fewer than 3 takes exist, or where they span under 14 dB.
 */
export function learnScale(current: DynamicScale, takes: readonly TakeLoudness[]): DynamicScale {
  if (current.source === 'calibrated' || takes.length < LEAST_TAKES) return current;
  const soft = percentile(
    takes.map(({ softDb }) => softDb),
    10,
  );
  const loud = percentile(
    takes.map(({ loudDb }) => loudDb),
    90,
  );
  if (soft === null || loud === null || loud - soft < LEAST_SPAN_DB) return current;
  const mark = (loud - soft) / 5;
  return { floorDb: soft - mark, ceilingDb: loud + mark, source: 'takes' };
}
