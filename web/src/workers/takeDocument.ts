import type { TakeDocument } from '@inner-hum/core/formats';
import { columnValue, FRAME_SECONDS, type FrameColumns } from '@inner-hum/core/hearing';
import type { TakeRecord } from '../storage/index.ts';

/** The JSON half of an exported take. */
export function takeDocument(take: TakeRecord, columns: FrameColumns): TakeDocument {
  return {
    format: 'inner-hum-take',
    version: 1,
    startedAt: new Date(take.startedAt).toISOString(),
    source: take.source,
    sampleRateHz: take.sampleRateHz,
    hornId: take.hornId,
    a4Hz: take.a4Hz,
    context: take.context,
    analysis: take.analysis,
    clickSeconds: take.foundClickSeconds,
    playerNote: take.playerNote,
    frames: Array.from(columns.levelDb, (levelDb, i) => ({
      timeSeconds: Math.round(i * FRAME_SECONDS * 100) / 100,
      f0Hz: columnValue(columns.f0Hz, i),
      clarity: columns.clarity[i],
      levelDb,
      brightness: columnValue(columns.brightness, i),
      breathDb: columnValue(columns.breathDb, i),
    })),
  };
}
