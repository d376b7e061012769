import i18next from 'i18next';
import { afterAll, describe, expect, it } from 'vitest';
import { dayInFigures, typedDay } from './typedDay.ts';

describe('a day that is typed', () => {
  it.each([
    ['14.3.2026', '2026-03-14'],
    ['14.03.26', '2026-03-14'],
    ['14/03/2026', '2026-03-14'],
    [' 1 / 2 / 2027 ', '2027-02-01'],
    ['3-4-2026', '2026-04-03'],
    ['2026-03-14', '2026-03-14'],
    ['29.2.2028', '2028-02-29'],
  ])('%s is %s', (text, day) => expect(typedDay(text)).toBe(day));

  it.each([
    '',
    'tomorrow',
    '29.2.2026',
    '31.4.2026',
    '14.13.2026',
    '0.1.2026',
    '14.3',
    '14.3.126',
    '1.1.1900',
  ])('“%s” is none', (text) => expect(typedDay(text)).toBeNull());

  it('is read as it is written, in every language', async () => {
    for (const [language, written] of [
      ['en', '14/03/2026'],
      ['de', '14.03.2026'],
      ['it', '14/03/2026'],
    ]) {
      await i18next.init({ lng: language, resources: {} });
      expect(dayInFigures('2026-03-14')).toBe(written);
      for (let day = 1; day <= 28; day += 9)
        for (const month of ['01', '06', '12']) {
          const iso = `2026-${month}-${String(day).padStart(2, '0')}`;
          expect(typedDay(dayInFigures(iso))).toBe(iso);
        }
    }
  });
  afterAll(() => i18next.init({ lng: 'en', resources: {} }));
});
