import { adviseMouthpiece, centsPerMm } from '@inner-hum/core/tendency';
import { startOfToday } from 'date-fns';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { firstTakeSince, type SettingsRecord } from '../../storage/index.ts';
import { AdviceView } from './AdviceView.tsx';
import { modelOf } from './moves.ts';
import { useHornMap } from './useHornMap.ts';

/** Minutes since the first take of today; null before it. */
async function minutesSinceFirst(source: SettingsRecord['source']): Promise<number | null> {
  const first = await firstTakeSince(startOfToday().getTime(), source);
  return first === null ? null : Math.max(0, Date.now() - first) / 60_000;
}

/** What moving the mouthpiece would do to every note; measured on this horn where it was moved. */
export function Component() {
  const data = useHornMap({ range: 'year', over: 'nothing' });
  const source = data?.settings.source;
  const playedMinutes = useLiveQuery(() => (source ? minutesSinceFirst(source) : undefined), [source]);
  const model = data && modelOf(data.moves, data.horn);
  const advice = useMemo(
    () => data && adviseMouthpiece(data.map, data.horn, modelOf(data.moves, data.horn)),
    [data],
  );
  if (!data || !model || playedMinutes === undefined) return null;
  return (
    <AdviceView
      data={data}
      advice={advice}
      model={model}
      perMm={(midi) => centsPerMm(midi, data.horn, model)}
      playedMinutes={playedMinutes}
    />
  );
}
