import { notesOf, scoreOf } from '@inner-hum/core/exercise';
import { plainName } from '@inner-hum/core/horn';
import { format } from 'date-fns';
import type { TakeRecord } from '../../storage/index.ts';

/** A file name that sorts by time and says what was played: "2026-03-14 184207 G4". */
export function takeFileName({ context, day, clock, startedAt }: TakeRecord): string {
  const first = context && notesOf(scoreOf(context.exercise)).at(0)?.item;
  return `${day} ${clock.replace(':', '')}${format(startedAt, 'ss')} ${first ? plainName(first.writtenMidi) : 'free'}`;
}
