import type { ExerciseItem } from '../exercise/index.ts';
import type { ItemAnalysis } from '../judge/index.ts';

/** The figures of a note that are kept for trends; their units are in their names. */
export const FIGURES = [
  'centsMean',
  'centsSpread',
  'driftCentsPerSecond',
  'softEndCents',
  'loudEndCents',
  'bendWithLevel',
  'levelSpreadDb',
  'dynamicSpanDb',
  'swellErrorDb',
  'responseMs',
  'onsetOffsetMs',
  'landingCents',
  'slurMs',
  'holdSeconds',
  'breathDb',
  'brightness',
  'matchDb',
  'subtoneAirierDb',
  'bendRangeCents',
  'vibratoHz',
  'humCents',
] as const;
export type FigureName = (typeof FIGURES)[number];

/** Each in the order of `FIGURES`; null where there is no answer. */
export type Figures = readonly (number | null)[];

/** Of what made no sound. */
export const NO_FIGURES: Figures = FIGURES.map(() => null);

/** What a judged item tells of each figure. How long a note was held counts where it was asked to be held as long as it stays good. */
export function figuresOf(item: ItemAnalysis, written: ExerciseItem): Figures {
  if (item.kind === 'hum')
    return FIGURES.map((name) => (name === 'humCents' ? item.measures.humCents : null));
  if (item.kind !== 'note' || !item.measures) return NO_FIGURES;
  const { measures } = item;
  return FIGURES.map((name) => {
    switch (name) {
      case 'humCents':
        return null;
      case 'subtoneAirierDb':
        return measures.subtone?.airierDb ?? null;
      case 'holdSeconds':
        return written.kind === 'note' && written.open ? measures.holdSeconds : null;
      default:
        return measures[name] ?? null;
    }
  });
}

/** One figure of a note; null where there is no answer. */
export const figureOf = ({ figures }: { figures: Figures }, name: FigureName): number | null =>
  figures.at(FIGURES.indexOf(name)) ?? null;
