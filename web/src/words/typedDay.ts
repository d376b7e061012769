import i18next from 'i18next';

/** Years that anybody plays in; two digits stand for this century. */
const [FIRST_YEAR, LAST_YEAR] = [1990, 2200];

/** `yyyy-MM-dd`, where there is such a day. */
function dayFrom(year: number, month: number, day: number): string | null {
  const full = year < 100 ? 2000 + year : year;
  if (full < FIRST_YEAR || full > LAST_YEAR) return null;
  const date = new Date(Date.UTC(full, month - 1, day));
  const isReal = date.getUTCMonth() === month - 1 && date.getUTCDate() === day;
  return isReal ? date.toISOString().slice(0, 10) : null;
}

/** A day as it is typed in any of our languages, days before months (14.3.26, 14/03/2026), or as computers write it; null: no day. */
export function typedDay(text: string): string | null {
  const iso = /^\s*(\d{4})-(\d{1,2})-(\d{1,2})\s*$/.exec(text);
  if (iso) return dayFrom(Number(iso[1]), Number(iso[2]), Number(iso[3]));
  const own = /^\s*(\d{1,2})\s*[./\- ]\s*(\d{1,2})\s*[./\- ]\s*(\d{2}|\d{4})\s*$/.exec(text);
  return own ? dayFrom(Number(own[3]), Number(own[2]), Number(own[1])) : null;
}

/** A day (`yyyy-MM-dd`) in figures, as the player's language writes it: 14/03/2026, 14.03.2026. */
export function dayInFigures(day: string): string {
  const locale = i18next.language === 'en' ? 'en-GB' : i18next.language;
  const format = new Intl.DateTimeFormat(locale, {
    day: '2-digit',
    month: '2-digit',
    year: 'numeric',
    timeZone: 'UTC',
  });
  return format.format(new Date(`${day}T00:00:00Z`));
}
