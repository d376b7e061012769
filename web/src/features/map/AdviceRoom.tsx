import { adviseMouthpiece, centsPerMm } from '@inner-hum/core/tendency';
import { startOfToday } from 'date-fns';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { firstTakeSince } from '../../storage/index.ts';
import { AdviceView } from './AdviceView.tsx';
import { modelOf } from './moves.ts';
import { useHornMap } from './useHornMap.ts';

/** What moving the mouthpiece would do to every note; measured on this horn where it was moved. */
export function Component() {
  const data = useHornMap({ range: 'year', over: 'nothing' });
  const from = startOfToday().getTime();
  const source = data?.settings.source;
  const firstToday = useLiveQuery(() => (source ? firstTakeSince(from, source) : undefined), [from, source]);
  const model = data && modelOf(data.moves, data.horn);
  const advice = useMemo(
    () => data && adviseMouthpiece(data.map, data.horn, modelOf(data.moves, data.horn)),
    [data],
  );
  if (!data || !model || firstToday === undefined) return null;
  return (
    <AdviceView
      data={data}
      advice={advice}
      model={model}
      perMm={(midi) => centsPerMm(midi, data.horn, model)}
      playedMinutes={firstToday === null ? null : (Date.now() - firstToday) / 60_000}
    />
  );
}
