import i18next from 'i18next';

const formats = new Map<string, Intl.NumberFormat>();

/** A number with so many digits after the point or comma of the player's language; a true minus, and never "−0". */
export function decimals(value: number, digits: number): string {
  const key = `${i18next.language} ${digits}`;
  const format =
    formats.get(key) ??
    new Intl.NumberFormat(i18next.language, {
      minimumFractionDigits: digits,
      maximumFractionDigits: digits,
      signDisplay: 'negative',
      useGrouping: false,
    });
  formats.set(key, format);
  return format.format(value).replace('-', '−');
}

/** A whole number with its sign: +8, −12. */
export const signed = (value: number) => `${value > 0 ? '+' : ''}${decimals(value, 0)}`;
