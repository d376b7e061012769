import { formatISO, parseISO } from 'date-fns';
import type { TakeRecord } from './records.ts';

/** The day of a moment, as the clock of this place has it. */
export const dayOf = (moment: number | Date) => formatISO(moment, { representation: 'date' });

/** As a day it comes after every day. */
export const AFTER_EVERY_DAY = '\uffff';

/** Day and time of a moment by the clock of this place: written down when it is played, for a journey or another clock must not move it. */
export function wallClock(moment: number): Pick<TakeRecord, 'day' | 'clock'> {
  return {
    day: dayOf(moment),
    clock: formatISO(moment, { representation: 'time' }).slice(0, 'HH:mm'.length),
  };
}

/** When a take was played, by the clock of the place where it was played; to be shown, not to be reckoned with. */
export const playedAt = ({ day, clock }: Pick<TakeRecord, 'day' | 'clock'>) => parseISO(`${day}T${clock}`);
