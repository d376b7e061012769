import { scoreOf } from '../exercise/index.ts';
import type { WrittenMidi } from '../horn/index.ts';
import type { SubtoneDepth, TakeAnalysis, TakeContext } from '../judge/index.ts';

/** One subtone that was asked for, and what became of it. */
export interface SubtoneTry {
  writtenMidi: WrittenMidi;
  depth: SubtoneDepth;
  /** Air to tone; null where it was slurred to or grew out of bare air. */
  responseMs: number | null;
  /** Of a written vibrato. */
  vibratoHz: number | null;
  at: number;
}

/** The subtones of a judged take that could be measured; `at` is when it was played, in ms. */
export function subtoneTries({ exercise }: TakeContext, { items }: TakeAnalysis, at: number): SubtoneTry[] {
  const score = scoreOf(exercise);
  return items.flatMap((item): SubtoneTry[] => {
    const written = score.at(item.item)?.item;
    if (item.kind !== 'note' || written?.kind !== 'note' || !item.measures?.subtone) return [];
    const { subtone: depth, responseMs, vibratoHz } = item.measures;
    const swings = written.vibrato !== undefined && written.vibrato !== 'off';
    return [
      { writtenMidi: written.writtenMidi, depth, responseMs, vibratoHz: swings ? vibratoHz : null, at },
    ];
  });
}

/** Keyed back at, and needed, before the horn is asked about. */
const LATEST = 12;
const LEAST_TRIES = 6;
const LEAST_NOTES = 3;

/**
 * It fails everywhere: of the last dozen subtones, over three notes or more, none became one. Then reed and pads are to be looked
 * at before the player.
 */
export function failsEverywhere(tries: readonly SubtoneTry[]): boolean {
  const last = tries.toSorted((a, b) => a.at - b.at).slice(-LATEST);
  const notes = new Set(last.map(({ writtenMidi }) => writtenMidi));
  return (
    last.length >= LEAST_TRIES &&
    notes.size >= LEAST_NOTES &&
    last.every(({ depth: { kind } }) => kind !== 'subtone')
  );
}
