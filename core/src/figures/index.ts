// What there is to say of a note in numbers, a row each: unit, decimals, what is usually wanted, where it is kept and shown. To add a
// figure, add its row here and its measure in `judge`.
export type { FigureRow } from './figureRow.ts';
export {
  COLUMN_FIGURES,
  figureRow,
  FIGURES,
  figuresOf,
  isFigure,
  KEPT_FIGURES,
  noFigures,
  type ColumnFigure,
  type FigureId,
  type FiguresOf,
  type KeptFigure,
} from './figures.ts';
export { UNITS, type Unit } from './units.ts';
