import { DYNAMIC_MARKS, type DynamicMark } from '../exercise/index.ts';
import type { ScorePart } from './scorePart.ts';

/** How loud a part is at a beat of the exercise: by its marks, and by its hairpins on the way to the next. */
export function loudnessOf(
  { dynamics }: ScorePart,
  from: number,
  stretch: number,
): (beat: number) => DynamicMark {
  const rank = (mark: DynamicMark) => DYNAMIC_MARKS.indexOf(mark);
  const turns: { beat: number; rank: number }[] = [];
  let now = rank('mf');
  let wedge: 'crescendo' | 'diminuendo' | null = null;
  const sorted = dynamics.toSorted((a, b) => a.beat - b.beat);
  for (const [i, sign] of sorted.entries()) {
    const beat = (sign.beat - from) * stretch;
    if (sign.mark !== null) {
      // A mark at the end of a hairpin is where it leads; without a hairpin it holds at once.
      if (!wedge && turns.length > 0) turns.push({ beat, rank: now });
      now = rank(sign.mark);
      turns.push({ beat, rank: now });
      wedge = null;
    } else if (sign.wedge === 'stop') {
      const next = sorted.slice(i).find(({ mark, beat: at }) => mark !== null && at - sign.beat < 0.01);
      if (wedge === null || next) continue;
      // A hairpin that leads nowhere by name leads two steps on.
      now = Math.max(0, Math.min(DYNAMIC_MARKS.length - 1, now + (wedge === 'crescendo' ? 2 : -2)));
      turns.push({ beat, rank: now });
      wedge = null;
    } else if (sign.wedge) {
      turns.push({ beat, rank: now });
      wedge = sign.wedge;
    }
  }
  return (beat) => {
    const after = turns.findIndex((turn) => turn.beat > beat + 1e-6);
    const at = after < 0 ? turns.length - 1 : after - 1;
    if (at < 0) return 'mf';
    const [a, b] = [turns[at], turns.at(at + 1)];
    const value =
      b && b.beat > a.beat ? a.rank + ((b.rank - a.rank) * (beat - a.beat)) / (b.beat - a.beat) : a.rank;
    return DYNAMIC_MARKS[Math.round(value)];
  };
}
