import type { TimedItem } from '../exercise/index.ts';
import type { JudgedNote } from './judgeNote.ts';
import { subtoneDepth, type FullTone, type SubtoneWindow } from './subtone.ts';

/**
 * Every subtone against the nearest full tone of its note in the phrase, the one before it where there are two; where there is none,
 * against this player's recent ones.
 */
export function measureSubtones(
  score: readonly TimedItem[],
  judged: ReadonlyMap<number, JudgedNote>,
  fullTones: Readonly<Record<number, FullTone>>,
  window: SubtoneWindow,
): void {
  for (const [index, { item, measures }] of judged) {
    if (item.tone !== 'subtone') continue;
    const [full] = [...judged]
      .filter(
        ([i, other]) =>
          score[i].phrase === score[index].phrase &&
          other.item.writtenMidi === item.writtenMidi &&
          other.item.tone === undefined,
      )
      .toSorted(([a], [b]) => Math.abs(a - index) - Math.abs(b - index) || a - b);
    const model = full?.[1].measures ?? fullTones[item.writtenMidi];
    if (model) measures.subtone = subtoneDepth(measures, model, window);
  }
}
