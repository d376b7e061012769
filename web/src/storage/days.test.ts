import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { csvStyle } from './csvStyle.ts';
import { database } from './database.ts';
import { listDayNotes, MOST_DAY_NOTE, readDayNote, writeDayNote } from './dayNotes.ts';
import { emptyDatabaseInTests } from './emptyDatabaseInTests.ts';
import { listPractice, playedDayBeside, practisedSpan, putPracticeOf } from './practiceDays.ts';
import type { PracticeDayRecord } from './records.ts';

beforeEach(emptyDatabaseInTests);

describe('what was written on a day', () => {
  it('is empty until something was, and each change leaves the rest', async () => {
    expect(await readDayNote('2026-05-01')).toEqual({ day: '2026-05-01', text: '', temperatureC: null });
    await writeDayNote('2026-05-01', { text: 'stuffy' });
    await writeDayNote('2026-05-01', { temperatureC: 19 });
    expect(await readDayNote('2026-05-01')).toEqual({ day: '2026-05-01', text: 'stuffy', temperatureC: 19 });
    await writeDayNote('2026-05-01', { text: 'x'.repeat(MOST_DAY_NOTE + 5) });
    expect((await readDayNote('2026-05-01')).text).toHaveLength(MOST_DAY_NOTE);
  });

  it('is listed from one day to another, both included', async () => {
    for (const day of ['2026-05-03', '2026-05-01', '2026-05-02', '2026-05-04'])
      await writeDayNote(day, { text: day });
    const listed = await listDayNotes('2026-05-02', '2026-05-03');
    expect(listed.map(({ day }) => day)).toEqual(['2026-05-02', '2026-05-03']);
  });
});

describe('days of practice', () => {
  const practised = (day: string, source: PracticeDayRecord['source'] = 'microphone') =>
    database().practiceDays.put({ id: `${day} ${source}`, day, source } as PracticeDayRecord);

  it('are those of one kind of player, oldest first, from one day to another', async () => {
    await practised('2026-05-03');
    await practised('2026-05-01');
    await practised('2026-05-02', 'standIn');
    await practised('2026-05-02');
    const days = async (source: PracticeDayRecord['source'], from: string, to: string) =>
      (await listPractice(source, from, to)).map(({ day }) => day);
    expect(await days('microphone', '2026-05-01', '2026-05-02')).toEqual(['2026-05-01', '2026-05-02']);
    expect(await days('microphone', '2026-05-02', '2026-05-09')).toEqual(['2026-05-02', '2026-05-03']);
    expect(await days('standIn', '2026-05-01', '2026-05-09')).toEqual(['2026-05-02']);
  });

  it('have a first, a last, and neighbours; none where nothing was played', async () => {
    expect(await practisedSpan()).toBeNull();
    expect(await playedDayBeside('2026-05-02', 'before')).toBeNull();
    for (const day of ['2026-05-04', '2026-05-01', '2026-05-09']) await practised(day);
    expect(await practisedSpan()).toEqual({ first: '2026-05-01', last: '2026-05-09' });
    expect(await playedDayBeside('2026-05-04', 'before')).toBe('2026-05-01');
    expect(await playedDayBeside('2026-05-04', 'after')).toBe('2026-05-09');
    expect(await playedDayBeside('2026-05-05', 'before')).toBe('2026-05-04');
    expect(await playedDayBeside('2026-05-09', 'after')).toBeNull();
  });

  it('go where no take is left of them, and no other day with them', async () => {
    await practised('2026-05-01');
    await practised('2026-05-02');
    await putPracticeOf('2026-05-01', []);
    expect(await practisedSpan()).toEqual({ first: '2026-05-02', last: '2026-05-02' });
  });
});

describe('tables for spreadsheets', () => {
  afterEach(() => vi.unstubAllGlobals());

  it.each([
    ['comma', 'de', 'comma'],
    ['semicolon', 'en', 'semicolon'],
    ['language', 'de', 'semicolon'],
    ['language', 'it', 'semicolon'],
    ['language', 'en', 'comma'],
  ] as const)('%s, in %s: %s', (csv, language, wanted) => {
    expect(csvStyle({ csv, language })).toBe(wanted);
  });

  it.each([
    [['de-AT', 'en'], 'semicolon'],
    [['en-GB', 'de'], 'comma'],
    [['und-IT'], 'comma'],
    [[], 'comma'],
  ] as const)('as the device speaks: %j: %s', (languages, wanted) => {
    vi.stubGlobal('navigator', { languages });
    expect(csvStyle({ csv: 'language', language: 'device' })).toBe(wanted);
  });
});
