import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { readTrend, trendSearch, type TrendLook } from './logbookAddress.ts';
import { TrendView } from './TrendView.tsx';
import { useTrend } from './useTrend.ts';

/** Whether it is getting better, and what a change did: any figure of a note, a zone or a drill over time. */
export function Component() {
  const [search] = useSearchParams();
  const navigate = useNavigate();
  const [now] = useState(() => Date.now());
  const look = readTrend(search);
  const trend = useTrend(look, now);
  if (!trend) return null;
  const go = (change: Partial<TrendLook>) =>
    void navigate({ search: trendSearch({ ...look, ...change }) }, { replace: true });
  return <TrendView look={look} trend={trend} onChange={go} />;
}
