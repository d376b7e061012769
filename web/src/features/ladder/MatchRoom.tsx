import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { judgedOn, readSettings } from '../../storage/index.ts';
import { useSearch } from '../../ui/index.ts';
import { matchPairs } from './matchPairs.ts';
import { MatchView } from './MatchView.tsx';

/** One pitch by two fingerings: how near they come, try after try, and whether one's own ear tells them apart. */
export function Component() {
  const [search, ask] = useSearch();
  const settings = useLiveQuery(readSettings);
  const takes = useLiveQuery(
    () => (settings ? judgedOn(settings.hornId, settings.source) : undefined),
    [settings?.hornId, settings?.source],
  );
  const pairs = useMemo(() => takes && matchPairs(takes), [takes]);
  if (!settings || !pairs) return null;
  const pair = pairs.find(({ key }) => key === search.get('pair')) ?? pairs.at(0) ?? null;
  return (
    <MatchView pairs={pairs} pair={pair} naming={settings.naming} onPair={(key) => ask({ pair: key })} />
  );
}
