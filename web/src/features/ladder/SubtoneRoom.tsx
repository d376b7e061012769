import { subtoneTries } from '@inner-hum/core/plan';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { playersHorn } from '../../addresses/index.ts';
import { changeSettings, judgedOn, readSettings } from '../../storage/index.ts';
import { useSearch } from '../../ui/index.ts';
import { benchNotes } from './subtoneBench.ts';
import { SubtoneView } from './SubtoneView.tsx';

/** The subtone bench: every subtone that was asked for against the full tone of its note. */
export function Component() {
  const [search, ask] = useSearch();
  const settings = useLiveQuery(readSettings);
  const takes = useLiveQuery(
    () => (settings ? judgedOn(settings.hornId, settings.source) : undefined),
    [settings?.hornId, settings?.source],
  );
  const tries = useMemo(
    () =>
      takes?.flatMap(({ context, analysis, startedAt }) =>
        context && analysis ? subtoneTries(context, analysis, startedAt) : [],
      ),
    [takes],
  );
  if (!settings || !tries) return null;
  const horn = playersHorn(settings);
  const notes = benchNotes(horn, tries);
  const asked = Number(search.get('note'));
  const newest = tries.toSorted((a, b) => b.at - a.at).at(0)?.writtenMidi;
  const looked =
    notes.find(({ writtenMidi }) => writtenMidi === asked) ??
    notes.find(({ writtenMidi }) => writtenMidi === newest) ??
    notes[0];
  return (
    <SubtoneView
      horn={horn}
      notes={notes}
      looked={looked}
      tries={tries}
      settings={settings}
      onNote={(note) => ask({ note: String(note) })}
      onWindow={(subtoneWindow) => void changeSettings({ subtoneWindow })}
    />
  );
}
