import { fifthRungs, ladder, nextRung } from '@inner-hum/core/plan';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { playersHorn } from '../../addresses/index.ts';
import { useRungTries } from '../../listing/index.ts';
import { readSettings } from '../../storage/index.ts';
import { useUrlState } from '../../ui/index.ts';
import { lookedAt, lookSearch, readLook } from './ladderAddress.ts';
import { LadderView } from './LadderView.tsx';

/** Fundamentals by partials: what speaks on this horn, and which rung is next. */
export function Component() {
  const [look, go] = useUrlState(readLook, lookSearch);
  const settings = useLiveQuery(readSettings);
  const tries = useRungTries(settings);
  const horn = settings && playersHorn(settings);
  const rungs = useMemo(() => (horn && tries ? ladder(horn, tries) : null), [horn, tries]);
  const fifths = useMemo(() => (horn && tries ? fifthRungs(horn, tries) : null), [horn, tries]);
  const next = useMemo(() => rungs && fifths && nextRung(rungs, fifths), [rungs, fifths]);
  if (!settings || !horn || !rungs || !fifths || !tries) return null;
  return (
    <LadderView
      horn={horn}
      rungs={rungs}
      fifths={fifths}
      tries={tries}
      next={next}
      looked={lookedAt([...rungs, ...fifths], look, next)}
      tuning={look.tuning}
      settings={settings}
      onLook={(change) => go(change)}
    />
  );
}
