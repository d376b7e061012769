// A take as it is listed, wherever takes are: its ribbon, its title, what stood out; and takes on a report.
export { TakeRow } from './TakeRow.tsx';
export { ShownRow } from './ShownRow.tsx';
export { TakeTitle, takeLabel } from './takeTitle.tsx';
export { EndedRoundHeadline, RoundHeadline, TakeHeadline } from './HeadlineWords.tsx';
export { readHeadline, useHeadline } from './useHeadline.ts';
export { describeTake } from './describeTake.ts';
export { drawTake, type TakeDrawing } from './takeInk.ts';
export { ReportButtons } from './ReportButtons.tsx';
export { reportTakes } from './reportTakes.ts';
export { pageOfElement } from './pageOfElement.ts';
export type { Report } from './reportPage.ts';
export { ClearTrend } from './ClearTrend.tsx';
export { useRungTries } from './useRungTries.ts';
// Everything there is to practise with, and what it is found by.
export { shelfEntries, type ShelfEntry } from './shelfEntries.ts';
export { entryTexts } from './entryTexts.ts';
