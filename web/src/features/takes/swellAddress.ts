import { shapeOf } from '@inner-hum/core/exercise';
import type { TakeRecord } from '../../storage/index.ts';
import { swellSearch } from '../../session/index.ts';

/** The address at which the exercise of a take is played again; null for free playing. */
export function swellAddress({ context }: TakeRecord): string | null {
  if (!context) return null;
  const { items, tempoBpm, start } = context.exercise;
  const [item] = items;
  const request = {
    note: item.writtenMidi,
    shape: shapeOf(item),
    beats: item.lengthBeats,
    tempoBpm,
    start,
  };
  return `/stand/swell?${swellSearch(request)}`;
}
