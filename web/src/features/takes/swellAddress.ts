import { writtenTurnBeat } from '@inner-hum/core/exercise';
import type { TakeRecord } from '../../storage/index.ts';

/** The address at which the exercise of a take is played again; null for free playing. */
export function swellAddress({ context }: TakeRecord): string | null {
  if (!context) return null;
  const { exercise } = context;
  const [item] = exercise.items;
  const first = item.dynamics[0].mark;
  const last = item.dynamics[item.dynamics.length - 1].mark;
  const oneWay = first === last ? 'steady' : first === 'pp' ? 'grow' : 'fade';
  const shape = writtenTurnBeat(item) !== null ? 'growFade' : oneWay;
  const search = new URLSearchParams({
    note: String(item.writtenMidi),
    shape,
    beats: String(item.lengthBeats),
    tempoBpm: String(exercise.tempoBpm),
    start: exercise.start,
  });
  return `/stand/swell?${search.toString()}`;
}
