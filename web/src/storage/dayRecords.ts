import { cellsOfDay, observationsIn, type ObservedTake } from '@inner-hum/core/tendency';
import { setupKey } from './gear.ts';
import { groupedBy } from './groupedBy.ts';
import { isListed } from './listed.ts';
import type { TakeRecord, TendencyDayRecord } from './records.ts';

export type Player = Pick<TakeRecord, 'mouthpieceId' | 'reedKind' | 'source'>;

const idOf = (player: Player, day: string) => `${setupKey(player)}/${player.source}/${day}`;

/** Whether a take tells the map anything. */
export const counts = (take: TakeRecord) => isListed(take) && take.analysis !== null;

function observed({ context, analysis, startedAt, lengthSeconds }: TakeRecord): ObservedTake[] {
  if (!context || !analysis) return [];
  const notes = observationsIn(context, analysis);
  return notes.length === 0 ? [] : [{ startedAt, lengthSeconds, notes }];
}

/** A day from all its takes. */
export function dayRecord(player: Player, day: string, takes: readonly TakeRecord[]): TendencyDayRecord {
  const { cells } = cellsOfDay(day, takes.flatMap(observed));
  return { id: idOf(player, day), setup: setupKey(player), source: player.source, day, cells };
}

/** The days of all takes there are; of the takes of a whole database. */
export function daysOfTakes(takes: readonly TakeRecord[]): TendencyDayRecord[] {
  const groups = groupedBy(takes.filter(counts), (take) => idOf(take, take.day));
  return [...groups.values()]
    .map((group) => dayRecord(group[0], group[0].day, group))
    .filter(({ cells }) => cells.length > 0);
}
