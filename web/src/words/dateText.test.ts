import i18next from 'i18next';
import { expect, it } from 'vitest';
import { dateText, type DateStyle } from './dateText.ts';
import { decimals } from './decimals.ts';

const MOMENT = new Date(2026, 0, 5, 7, 3);

const SAID: Record<string, [DateStyle, string][]> = {
  en: [
    ['day', '5 January'],
    ['dayYear', '5 January 2026'],
    ['dayTime', '5 January, 07:03'],
    ['shortDayTime', '5 Jan, 07:03'],
    ['weekday', 'Monday 5 January'],
    ['month', 'January 2026'],
    ['time', '07:03'],
  ],
  de: [
    ['day', '5. Januar'],
    ['dayYearTime', '5. Januar 2026, 07:03'],
    ['weekdayTime', 'Montag, 5. Januar, 07:03'],
    ['month', 'Januar 2026'],
    ['time', '07:03'],
  ],
  it: [
    ['day', '5 gennaio'],
    ['weekdayYear', 'lunedì 5 gennaio 2026'],
    ['month', 'gennaio 2026'],
    ['time', '07:03'],
  ],
};

it.each(Object.entries(SAID))('writes days as %s writes them', async (language, said) => {
  await i18next.init({ lng: language, resources: {} });
  for (const [style, text] of said) expect(dateText(MOMENT, style)).toBe(text);
  expect(dateText(MOMENT.getTime(), 'day')).toBe(dateText(MOMENT, 'day'));
});

it.each([
  ['en', '1.5', '12345.0'],
  ['de', '1,5', '12345,0'],
  ['it', '1,5', '12345,0'],
])(
  'writes numbers as %s writes them, with a true minus and no minus nought',
  async (language, half, long) => {
    await i18next.init({ lng: language, resources: {} });
    expect(decimals(1.5, 1)).toBe(half);
    expect(decimals(-1.5, 1)).toBe(`−${half}`);
    expect(decimals(12345, 1)).toBe(long);
    expect(decimals(-0.04, 1)).toBe(decimals(0, 1));
    expect(decimals(-0, 0)).toBe('0');
    expect(decimals(2.5, 0)).toBe('3');
  },
);
