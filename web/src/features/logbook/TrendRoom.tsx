import { useState } from 'react';
import { useUrlState } from '../../ui/index.ts';
import { readTrend, trendSearch } from './logbookAddress.ts';
import { TrendView } from './TrendView.tsx';
import { useTrend } from './useTrend.ts';

/** Whether it is getting better, and what a change did: any figure of a note, a zone or a drill over time. */
export function Component() {
  const [now] = useState(() => Date.now());
  const [look, go] = useUrlState(readTrend, trendSearch);
  const trend = useTrend(look, now);
  if (!trend) return null;
  return <TrendView look={look} trend={trend} onChange={(change) => go(change)} />;
}
