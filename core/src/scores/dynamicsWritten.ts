import type { DynamicMark, NoteItem } from '../exercise/index.ts';
import { DYNAMIC_MARKS } from '../exercise/index.ts';

/** A sign of loudness inside a note, at a beat of it. */
export type DynamicSign =
  | { beat: number; kind: 'mark'; mark: DynamicMark }
  | { beat: number; kind: 'crescendo' | 'diminuendo' | 'stop' };

const rank = (mark: DynamicMark) => DYNAMIC_MARKS.indexOf(mark);

/** The marks and hairpins of a note, in order: a mark where a level begins or is reached, a hairpin from one to the next. */
export function dynamicSigns({ dynamics }: Pick<NoteItem, 'dynamics'>): DynamicSign[] {
  const signs: DynamicSign[] = [];
  let open = false;
  dynamics.forEach(({ beat, mark }, i) => {
    const before = dynamics.at(i - 1);
    const after = dynamics.at(i + 1);
    if (open) signs.push({ beat, kind: 'stop' });
    open = false;
    if (i === 0 || before?.mark !== mark) signs.push({ beat, kind: 'mark', mark });
    if (i < dynamics.length - 1 && after && after.mark !== mark) {
      signs.push({ beat, kind: rank(after.mark) > rank(mark) ? 'crescendo' : 'diminuendo' });
      open = true;
    }
  });
  return signs;
}
