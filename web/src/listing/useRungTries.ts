import { rungTries, type RungTry } from '@inner-hum/core/plan';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { judgedOn, type SettingsRecord } from '../storage/index.ts';

/** Every try at a rung on this horn by whoever plays now, from the kept takes; null while they are read. */
export function useRungTries(settings: SettingsRecord | undefined): RungTry[] | null {
  const takes = useLiveQuery(
    () => (settings ? judgedOn(settings.hornId, settings.source) : undefined),
    [settings?.hornId, settings?.source],
  );
  return useMemo(
    () =>
      takes?.flatMap(({ context, analysis, startedAt }) =>
        context && analysis ? rungTries(context, analysis, startedAt) : [],
      ) ?? null,
    [takes],
  );
}
