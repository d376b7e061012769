import { frameRows, type TakeDocument } from '@inner-hum/core/formats';
import type { FrameColumns } from '@inner-hum/core/hearing';
import { fingeredPartials } from '@inner-hum/core/judge';
import type { TakeRecord } from '../storage/index.ts';

/** The JSON half of an exported take. */
export function takeDocument(take: TakeRecord, columns: FrameColumns): TakeDocument {
  return {
    format: 'inner-hum-take',
    version: 2,
    startedAt: new Date(take.startedAt).toISOString(),
    source: take.source,
    sampleRateHz: take.sampleRateHz,
    hornId: take.hornId,
    a4Hz: take.a4Hz,
    context: take.context,
    analysis: take.analysis,
    clickSeconds: take.foundClickSeconds,
    playerNote: take.playerNote,
    call: take.call,
    frames: frameRows(
      columns,
      take.context && fingeredPartials(columns, take.context, take.analysis?.items ?? []),
    ),
  };
}
