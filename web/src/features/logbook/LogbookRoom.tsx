import { useState } from 'react';
import { useUrlState } from '../../ui/index.ts';
import { monthSearch, readMonth } from './logbookAddress.ts';
import { MonthView } from './MonthView.tsx';
import { useFoundDays } from './useFoundDays.ts';
import { useMonth } from './useMonth.ts';

/** What was practised, month by month, and what was reached. */
export function Component() {
  const [now] = useState(() => new Date());
  const [look, go] = useUrlState((search) => readMonth(search, now), monthSearch);
  const month = useMonth(look);
  const found = useFoundDays(look.words);
  if (!month) return null;
  return (
    <MonthView
      look={look}
      month={month}
      found={found}
      now={now}
      onChange={(change) => go(change, { replace: typeof change === 'object' && 'words' in change })}
    />
  );
}
