import { lengthBeats, secondsPerBeat, type Exercise } from '@inner-hum/core/exercise';
import { createLayout, type RibbonLayout } from './layout.ts';

/** Where a written phrase lies on a drawing without anything played: from its first beat to its last, edge to edge. */
export function scoreLayout(exercise: Exercise, width: number, height: number): RibbonLayout {
  return createLayout({
    width,
    height,
    left: 2,
    right: width - 2,
    fromSeconds: 0,
    toSeconds: lengthBeats(exercise) * secondsPerBeat(exercise),
    small: true,
  });
}

/** The loudness (0-1) whose outline passes through a height: the inverse of `halfAt` around the rule. */
export function loudnessAt(layout: RibbonLayout, y: number): number {
  const [least, most] = [layout.halfAt(0), layout.halfAt(1)];
  return Math.max(0, Math.min(1, (Math.abs(y - layout.ruleY) - least) / (most - least)));
}
