// A take as it is listed, wherever takes are: its ribbon, its title, what stood out.
export { TakeRow } from './TakeRow.tsx';
export { TakeTitle, takeLabel } from './takeTitle.tsx';
export { drawTake, type TakeDrawing } from './takeInk.ts';
