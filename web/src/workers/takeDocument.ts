import { frameRows, type TakeDocument } from '@inner-hum/core/formats';
import type { FrameColumns } from '@inner-hum/core/hearing';
import { pitchTarget, type TakeContext } from '@inner-hum/core/judge';
import { partialsOf } from '@inner-hum/core/tone';
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
    frames: frameRows(columns, take.context && fingeredPartials(columns, take.context)),
  };
}

function fingeredPartials(columns: FrameColumns, { exercise, hornId, a4Hz }: TakeContext) {
  return partialsOf(columns.f0Hz, pitchTarget(exercise.items[0], hornId, a4Hz).tubeHz);
}
