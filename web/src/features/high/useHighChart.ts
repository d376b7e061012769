import { hornById } from '@inner-hum/core/horn';
import { highChart, highTriesIn, type ChartedNote } from '@inner-hum/core/plan';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import {
  judgedOn,
  listHighFingerings,
  listMouthpieces,
  mouthpieceOf,
  readSettings,
  type MouthpieceRecord,
  type SettingsRecord,
} from '../../storage/index.ts';

export interface HighChart {
  settings: SettingsRecord;
  mouthpiece: MouthpieceRecord;
  notes: ChartedNote[];
}

/** The chart of the horn and mouthpiece that are played, from the kept takes of whoever plays now; null while it is read. */
export function useHighChart(): HighChart | null {
  const settings = useLiveQuery(readSettings);
  const read = useLiveQuery(async () => {
    if (!settings) return null;
    const id = mouthpieceOf(settings);
    const [takes, decisions, mouthpieces] = await Promise.all([
      judgedOn(settings.hornId, settings.source),
      listHighFingerings(id),
      listMouthpieces(settings.hornId),
    ]);
    return {
      settings,
      takes,
      decisions,
      mouthpiece: mouthpieces.find((each) => each.id === id) ?? mouthpieces[0],
    };
  }, [settings]);
  return useMemo(() => {
    if (!read) return null;
    const { settings: by, takes, decisions, mouthpiece } = read;
    const tries = takes.flatMap(({ context, analysis, startedAt, mouthpieceId }) =>
      context && analysis && mouthpieceId === mouthpiece.id ? highTriesIn(context, analysis, startedAt) : [],
    );
    const topKey = by.topKeys[by.hornId] ?? hornById(by.hornId).topKey;
    return {
      settings: by,
      mouthpiece,
      notes: highChart({ hornId: by.hornId, topKey, decisions, tries }),
    };
  }, [read]);
}
