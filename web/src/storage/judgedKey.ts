import type { TakeRecord } from './records.ts';

/** Judged takes of a horn, by who played, as one word. */
export const judgedKey = (hornId: TakeRecord['hornId'], source: TakeRecord['source']) =>
  `${hornId} ${source}`;
