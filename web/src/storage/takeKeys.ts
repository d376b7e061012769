import { notesOf, scoreOf } from '@inner-hum/core/exercise';
import type { TakeKeys, TakeRecord } from './records.ts';
import { shelfKey } from './shelfKey.ts';

export const judgedKey = (hornId: TakeRecord['hornId'], source: TakeRecord['source']) =>
  `${hornId} ${source}`;

type Told = Pick<TakeRecord, 'context' | 'analysis' | 'hornId' | 'source' | 'playerNote'>;

/** Where what was written cannot be read, as in a row that is damaged or of an older version, it counts as free. */
function firstNote(context: TakeRecord['context']): number | null {
  try {
    return (context && notesOf(scoreOf(context.exercise)).at(0)?.item.writtenMidi) ?? null;
  } catch {
    return null;
  }
}

export function takeKeys({ context, analysis, hornId, source, playerNote }: Told): TakeKeys {
  const first = firstNote(context);
  return {
    note: String(first ?? 'free'),
    ...(first !== null && context && analysis ? { shelf: shelfKey(context.exercise) } : {}),
    ...(analysis ? { judged: judgedKey(hornId, source) } : {}),
    ...(playerNote ? { noted: 1 as const } : {}),
  };
}
