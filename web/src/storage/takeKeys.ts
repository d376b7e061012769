import { notesOf, scoreOf } from '@inner-hum/core/exercise';
import { recordOf } from '@inner-hum/core/headline';
import { setupKey } from './gear.ts';
import type { Gear } from './gearRecords.ts';
import { isListed } from './listed.ts';
import { judgedKey } from './judgedKey.ts';
import type { TakeKeys, TakeRecord } from './records.ts';
import { shelfKey } from './shelfKey.ts';

/** What of a take its keys are made of. */
export type KeyedTake = Pick<
  TakeRecord,
  'context' | 'analysis' | 'hornId' | 'source' | 'playerNote' | 'scale' | 'state' | 'deletedAt' | keyof Gear
>;

/** Where what was written cannot be read, as in a row that is damaged or of an older version, it counts as free. */
function firstNote(context: TakeRecord['context']): number | null {
  try {
    return (context && notesOf(scoreOf(context.exercise)).at(0)?.item.writtenMidi) ?? null;
  } catch {
    return null;
  }
}

/** What a take came to in the figure of its drill, and what it is compared with: the same drill on the same note with the same set-up. */
function recordKeys(take: KeyedTake): Pick<TakeKeys, 'record' | 'figure'> {
  const { context, analysis, hornId, source, scale } = take;
  if (!context || !analysis || !isListed(take)) return {};
  try {
    const { exercise } = context;
    const found = recordOf({ exercise, analysis, hornId, scale });
    if (!found || !Number.isFinite(found.value)) return {};
    const { writtenMidi, fingered } = found.note;
    const record = [
      exercise.family,
      hornId,
      source,
      setupKey(take),
      fingered ?? writtenMidi,
      writtenMidi,
    ].join(' ');
    return { record, figure: found.value };
  } catch {
    return {};
  }
}

/** The keys of a take, made anew whenever it is written. */
export function takeKeys(take: KeyedTake): TakeKeys {
  const { context, analysis, hornId, source, playerNote } = take;
  const first = firstNote(context);
  return {
    note: String(first ?? 'free'),
    ...(first !== null && context && analysis ? { shelf: shelfKey(context.exercise) } : {}),
    ...(analysis ? { judged: judgedKey(hornId, source) } : {}),
    ...(playerNote ? { noted: 1 as const } : {}),
    ...recordKeys(take),
  };
}
