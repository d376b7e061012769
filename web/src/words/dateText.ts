import i18next from 'i18next';

const DAY = { day: 'numeric', month: 'long' } as const;
const SHORT_DAY = { day: 'numeric', month: 'short' } as const;
const STYLES = {
  day: DAY,
  dayYear: { ...DAY, year: 'numeric' },
  shortDay: SHORT_DAY,
  weekday: { ...DAY, weekday: 'long' },
  weekdayYear: { ...DAY, weekday: 'long', year: 'numeric' },
  shortWeekdayYear: { ...SHORT_DAY, weekday: 'short', year: 'numeric' },
  month: { month: 'long', year: 'numeric' },
  time: { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' },
} as const satisfies Record<string, Intl.DateTimeFormatOptions>;

type Plain = keyof typeof STYLES;
type Timed = 'day' | 'dayYear' | 'shortDay' | 'weekday';
export type DateStyle = Plain | `${Timed}Time`;

const formats = new Map<string, Intl.DateTimeFormat>();

function inStyle(moment: Date | number, style: Plain): string {
  // Days before months, as everywhere outside America; German and Italian have that by themselves.
  const locale = i18next.language === 'en' ? 'en-GB' : i18next.language;
  const key = `${locale} ${style}`;
  const format = formats.get(key) ?? new Intl.DateTimeFormat(locale, STYLES[style]);
  formats.set(key, format);
  return format.format(moment);
}

/** A moment as the player's language writes it: "5 January", "5. Januar, 18:30". Moments are `Date` or ms. */
export function dateText(moment: Date | number, style: DateStyle): string {
  if (!style.endsWith('Time')) return inStyle(moment, style as Plain);
  return `${inStyle(moment, style.slice(0, -'Time'.length) as Timed)}, ${inStyle(moment, 'time')}`;
}
