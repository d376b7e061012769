import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { monthSearch, readMonth, type MonthLook } from './logbookAddress.ts';
import { MonthView } from './MonthView.tsx';
import { useFoundDays } from './useFoundDays.ts';
import { useMonth } from './useMonth.ts';

/** What was practised, month by month, and what was reached. */
export function Component() {
  const [search] = useSearchParams();
  const navigate = useNavigate();
  const [now] = useState(() => new Date());
  const look = readMonth(search, now);
  const month = useMonth(look);
  const found = useFoundDays(look.words);
  if (!month) return null;
  const go = (change: Partial<MonthLook>) =>
    void navigate({ search: monthSearch({ ...look, ...change }) }, { replace: 'words' in change });
  return <MonthView look={look} month={month} found={found} now={now} onChange={go} />;
}
