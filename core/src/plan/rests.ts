import { REST_SECONDS } from './schools.ts';
import { isHigh, type SheetItem } from './sheetItems.ts';

/** Lip and ear rest after a line: longest after high notes. */
export const restAfter = (item: Pick<SheetItem, 'zone' | 'isHeavy'>): number =>
  isHigh(item) ? REST_SECONDS.high : item.isHeavy ? REST_SECONDS.heavy : REST_SECONDS.light;

/** How long a line takes with the rest after it. */
export const total = (item: Pick<SheetItem, 'zone' | 'isHeavy' | 'seconds'>): number =>
  item.seconds + restAfter(item);
