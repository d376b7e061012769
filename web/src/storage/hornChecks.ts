import type { HornId } from '@inner-hum/core/horn';
import { differenceInCalendarDays, parseISO } from 'date-fns';
import { database } from './database.ts';
import type { HornCheckRecord } from './gearRecords.ts';
import type { SettingsRecord } from './settingsRecord.ts';

export const MOST_CHECK_TEXT = 200;

/** What was done to a horn, the latest first. */
export async function listHornChecks(hornId: HornId): Promise<HornCheckRecord[]> {
  return (await database().hornChecks.where({ hornId }).sortBy('day')).toReversed();
}

export async function addHornCheck(check: Omit<HornCheckRecord, 'id'>): Promise<void> {
  await database().hornChecks.add({
    ...check,
    text: check.text.slice(0, MOST_CHECK_TEXT),
    id: crypto.randomUUID(),
  });
}

export async function deleteHornCheck(id: string): Promise<void> {
  await database().hornChecks.delete(id);
}

export async function restoreHornCheck(check: HornCheckRecord): Promise<void> {
  await database().hornChecks.put(check);
}

export type Reminded = keyof SettingsRecord['checkEveryDays'];

/** A check that is due again, and how many days ago the last was; a horn that was never checked is reminded of nothing. */
export interface DueCheck {
  kind: Reminded;
  daysAgo: number;
}

/** Which checks of a horn are due. A technician looks for leaks as well. */
export function dueChecks(
  checks: readonly HornCheckRecord[],
  every: SettingsRecord['checkEveryDays'],
  now: number,
): DueCheck[] {
  const covers: Record<Reminded, readonly HornCheckRecord['kind'][]> = {
    leakTest: ['leakTest', 'technician', 'repair'],
    technician: ['technician', 'repair'],
  };
  return (['leakTest', 'technician'] as const).flatMap((kind): DueCheck[] => {
    const last = checks.find((check) => covers[kind].includes(check.kind));
    const most = every[kind];
    if (!last || most === null) return [];
    const daysAgo = differenceInCalendarDays(now, parseISO(last.day));
    return daysAgo > most ? [{ kind, daysAgo }] : [];
  });
}
