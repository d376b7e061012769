import { allNotes } from '@inner-hum/core/exercise';
import { callsMade, packNotes, practisedNotes } from '@inner-hum/core/practice';
import { groupedBy } from './groupedBy.ts';
import { isListed } from './listed.ts';
import type { PracticeDayRecord, TakeRecord } from './records.ts';

export type Practiser = Pick<TakeRecord, 'hornId' | 'source' | 'mouthpieceId' | 'reedId' | 'reedKind'>;

const idOf = ({ hornId, source, mouthpieceId, reedId, reedKind }: Practiser, day: string) =>
  [day, hornId, source, mouthpieceId, reedId, reedKind].join('/');

/** A day of practice from all its takes. */
function practiceRecord(player: Practiser, day: string, takes: readonly TakeRecord[]): PracticeDayRecord {
  const { hornId, source, mouthpieceId, reedId, reedKind } = player;
  const played = (some: readonly TakeRecord[]) =>
    some.reduce((sum, { playingLoad }) => sum + (playingLoad?.playedSeconds ?? 0), 0);
  return {
    id: idOf(player, day),
    day,
    hornId,
    source,
    mouthpieceId,
    reedId,
    reedKind,
    takes: takes.length,
    playedSeconds: played(takes),
    freeSeconds: played(takes.filter(({ kind }) => kind === 'free')),
    words: takes
      .map(({ playerNote }) => playerNote)
      .filter(Boolean)
      .join('\n'),
    notes: packNotes(
      takes.flatMap((take) =>
        take.context && take.analysis ? practisedNotes(take.context, take.analysis, take) : [],
      ),
    ),
    calls: takes.flatMap(({ call, analysis, context, startedAt }) => {
      const first = context && allNotes(context.exercise).at(0);
      return call && analysis && first
        ? callsMade(call, analysis.measures, first.writtenMidi, startedAt)
        : [];
    }),
  };
}

/** The player's own: what somebody else played is no practice. */
const isOwn = (take: TakeRecord) => isListed(take) && take.kind !== 'other';

/** The days of practice that some takes make up: a day is one for each horn, source, mouthpiece and reed. */
export function practiceOfTakes(takes: readonly TakeRecord[]): PracticeDayRecord[] {
  const groups = groupedBy(takes.filter(isOwn), (take) => idOf(take, take.day));
  return [...groups.values()].map((group) => practiceRecord(group[0], group[0].day, group));
}
