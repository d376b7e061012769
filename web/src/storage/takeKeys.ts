import { notesOf, scoreOf } from '@inner-hum/core/exercise';
import type { TakeRecord } from './records.ts';
import { shelfKey } from './shelfKey.ts';

/** What a take is found by among thousands without reading them; made anew whenever a take is written. What is absent is not found by it. */
export interface TakeKeys {
  /** The first written note as a MIDI number, or `free`. */
  note: string;
  /** Of a judged take: its exercise on the shelf; horn and source. */
  shelf?: string;
  judged?: string;
  /** Of a take with words of the player's. */
  noted?: 1;
}

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
