import { decimals } from '../../words/index.ts';

const UNITS = ['kB', 'MB', 'GB', 'TB'] as const;

/** So many bytes in the unit that suits them: "412 MB". */
export function bytesText(bytes: number): string {
  let value = bytes / 1000;
  let unit = 0;
  while (value >= 1000 && unit < UNITS.length - 1) {
    value /= 1000;
    unit++;
  }
  const digits = value < 10 && unit > 0 ? 1 : 0;
  return `${decimals(value, digits)} ${UNITS[unit]}`;
}
