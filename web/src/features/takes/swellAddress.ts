import { familyOf, onlyNote, shapeOf } from '@inner-hum/core/exercise';
import type { TakeRecord } from '../../storage/index.ts';
import { swellSearch } from '../../addresses/index.ts';

/** The address at which the swell of a take is played again; null for free playing and for drills, whose round has one. */
export function swellAddress({ context }: TakeRecord): string | null {
  const item = context && familyOf(context.exercise)?.isSingle ? onlyNote(context.exercise) : null;
  if (!context || !item) return null;
  const { tempoBpm, start: pace } = context.exercise;
  // A single swell is in time.
  const start = pace === 'ownTime' ? 'playToStart' : pace;
  const request = { note: item.writtenMidi, shape: shapeOf(item), beats: item.lengthBeats, tempoBpm, start };
  return `/stand/swell?${swellSearch(request)}`;
}
