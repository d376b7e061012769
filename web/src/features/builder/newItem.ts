import { shapedDynamics, type ExerciseItem } from '@inner-hum/core/exercise';
import { writtenMidi } from '@inner-hum/core/horn';

const USUAL_BEATS = 4;

/** An item to put beside another: at that one's pitch and length, so that little is left to change. */
export function newItem(
  kind: ExerciseItem['kind'],
  beside: ExerciseItem | null,
  pitch: number,
): ExerciseItem {
  const lengthBeats = beside?.lengthBeats ?? USUAL_BEATS;
  const midi = writtenMidi(pitch);
  if (kind === 'rest') return { kind, lengthBeats, breath: 'free' };
  if (kind === 'free') return { kind, lengthBeats };
  if (kind !== 'note') return { kind, writtenMidi: midi, lengthBeats };
  return {
    kind,
    writtenMidi: midi,
    fingered: null,
    lengthBeats,
    open: false,
    dynamics: shapedDynamics({ shape: 'steady', beats: lengthBeats }),
    attack: 'any',
    judged: null,
  };
}

/** Lengths one steps through: fine where notes are short, whole beats where they are long. */
const FINE = [0.25, 0.5, 0.75, 1, 1.5, 2, 3];

/** The next longer or shorter length. */
export function nextLength(beats: number, by: 1 | -1, most: number): number {
  const all = [...FINE, ...Array.from({ length: most - 3 }, (_, i) => i + 4)];
  const next = by > 0 ? all.find((each) => each > beats) : all.findLast((each) => each < beats);
  return next ?? beats;
}
