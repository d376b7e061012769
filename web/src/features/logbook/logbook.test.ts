import { writtenMidi } from '@inner-hum/core/horn';
import { NO_FIGURES, packNotes } from '@inner-hum/core/practice';
import { expect, it } from 'vitest';
import type { PracticeDayRecord, TakeRecord } from '../../storage/index.ts';
import { dayRows } from './dayRows.ts';
import { inkDays } from './inkDay.ts';
import { inkShare, inkStroke, ROW_HEIGHT } from './inkStroke.ts';
import { monthSearch, readMonth, readTrend, trendSearch } from './logbookAddress.ts';
import { figureText } from '../../notation/index.ts';

const NOW = new Date(2026, 2, 14);

it('reads any address, and its own back', () => {
  const odd = ['', '2026-02', 'alto', 'NaN', '-1', '58', 'low', 'year', '%00', '🎷', 'a&b=c'];
  for (const [i, one] of odd.entries())
    for (const other of odd) {
      const look = readMonth(new URLSearchParams({ month: one, horn: other, words: odd[i] }), NOW);
      expect(look.month).toMatch(/^\d{4}-\d{2}$/);
      expect(readMonth(new URLSearchParams(monthSearch(look)), NOW)).toEqual(look);
      const trend = readTrend(new URLSearchParams({ measure: one, note: other, zone: one, span: other }));
      expect(readTrend(new URLSearchParams(trendSearch(trend)))).toEqual(trend);
    }
  expect(readMonth(new URLSearchParams('month=2026-13'), NOW).month).toBe('2026-03');
  expect(readTrend(new URLSearchParams('note=58&drill=swell&measure=responseMs'))).toMatchObject({
    measure: 'responseMs',
    scope: { midi: 58, zone: null, family: 'swell' },
  });
});

it('puts the ink of a day together, whatever was played on', () => {
  const practice = (reedId: string, family: string | null, midi: number): PracticeDayRecord => ({
    id: reedId,
    day: '2026-03-14',
    hornId: 'alto',
    source: 'microphone',
    mouthpieceId: 'alto.first',
    reedId,
    reedKind: '',
    takes: 1,
    playedSeconds: 30,
    freeSeconds: 10,
    words: '',
    calls: [],
    notes: packNotes([
      {
        family,
        writtenMidi: writtenMidi(midi),
        fingeredMidi: writtenMidi(midi),
        day: '2026-03-14',
        at: NOW.getTime(),
        seconds: 20,
        asWritten: true,
        figures: NO_FIGURES,
      },
    ]),
  });
  const day = inkDays([practice('a', 'overtoneHits', 58), practice('b', null, 80)]).get('2026-03-14');
  expect(day).toMatchObject({ takes: 2, playedSeconds: 60 });
  expect(day?.rows).toMatchObject({ low: 20, high: 20, overtone: 20, own: 20, free: 20, middle: 0 });
});

it('draws a stroke inside its column, thicker the longer it was played', () => {
  const heights = [1, 60, 600].map((seconds) => {
    const numbers = (inkStroke(3, inkShare(seconds, 600)).match(/-?\d+(\.\d+)?/g) ?? []).map(Number);
    const [x, y] = [0, 1].map((odd) => numbers.filter((_, i) => i % 2 === odd));
    expect(Math.min(...x)).toBeGreaterThanOrEqual(3);
    expect(Math.max(...x)).toBeLessThanOrEqual(4);
    expect(Math.min(...y)).toBeGreaterThanOrEqual(0);
    expect(Math.max(...y)).toBeLessThanOrEqual(ROW_HEIGHT);
    return Math.max(...y) - Math.min(...y);
  });
  expect(heights).toEqual(heights.toSorted((a, b) => a - b));
  expect(figureText(-0.2, 'centsMean')).toBe('0');
  expect(figureText(-12.4, 'centsMean')).toBe('−12');
});

it('lists a round once, where its first take stands', () => {
  const take = (id: string, roundId: string | null) => ({ id, roundId }) as TakeRecord;
  const rows = dayRows([
    take('1', null),
    take('2', 'r'),
    take('3', 'short'),
    take('4', 'r'),
    take('5', 'r'),
    take('6', null),
  ]);
  expect(rows.map((row) => (row.kind === 'take' ? row.take.id : row.takes.map(({ id }) => id)))).toEqual([
    '1',
    ['2', '4', '5'],
    '3',
    '6',
  ]);
});
