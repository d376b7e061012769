import type { ExerciseItem } from '../exercise/index.ts';
import { KEPT_FIGURES, type KeptFigure } from '../figures/index.ts';
import type { ItemAnalysis } from '../judge/index.ts';

/** Each in the order of `KEPT_FIGURES`; null where there is no answer. */
export type Figures = readonly (number | null)[];

/** Of what made no sound. */
export const NO_FIGURES: Figures = KEPT_FIGURES.map(() => null);

/** What a judged item tells of each figure. How long a note was held counts where it was asked to be held as long as it stays good. */
export function figuresOf(item: ItemAnalysis, written: ExerciseItem): Figures {
  if (item.kind === 'hum')
    return KEPT_FIGURES.map((name) => (name === 'humCents' ? item.measures.humCents : null));
  if (item.kind !== 'note' || !item.measures) return NO_FIGURES;
  const { measures } = item;
  return KEPT_FIGURES.map((name) => {
    switch (name) {
      case 'humCents':
        return null;
      case 'subtoneAirierDb':
        return measures.subtone?.airierDb ?? null;
      case 'holdSeconds':
      case 'holdBeats':
        return written.kind === 'note' && written.open ? measures[name] : null;
      default:
        return measures[name] ?? null;
    }
  });
}

/** One figure of a note; null where there is no answer, and of what an aim from another version may call a figure. */
export const figureOf = ({ figures }: { figures: Figures }, name: KeptFigure): number | null =>
  figures[KEPT_FIGURES.indexOf(name)] ?? null;
