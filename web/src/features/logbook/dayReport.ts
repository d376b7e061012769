import { eachDayOfInterval, parseISO, subDays } from 'date-fns';
import i18next, { type TFunction } from 'i18next';
import { reportTakes, type Report } from '../../listing/index.ts';
import { dayOf, listDayNotes, listPractice, takesOfDay, type TakeRecord } from '../../storage/index.ts';
import { dateText, decimals } from '../../words/index.ts';
import { INK_ROWS, inkDays } from './inkDay.ts';
import { markText } from './markText.ts';
import { milestoneText } from './milestoneText.ts';
import type { LoggedDay } from './useDay.ts';

/** One day, for a teacher: what was played on what, what was reached, what was written, every take. */
export async function dayReport(logged: LoggedDay, withSound: boolean, t: TFunction): Promise<Report> {
  const { day, ink, notes, playedOn, marks, milestones, note, takes, settings } = logged;
  const rows = INK_ROWS.flatMap((row) => {
    const seconds = ink?.rows[row] ?? 0;
    return seconds === 0
      ? []
      : [`${t(`logbook.row.${row}`)} ${t('logbook.minutesOf', { minutes: decimals(seconds / 60, 1) })}`];
  });
  return {
    language: i18next.language,
    title: dateText(parseISO(day), 'weekdayYear'),
    lines: [
      ...(ink
        ? [
            t('logbook.dayAccount', {
              minutes: Math.max(1, Math.round(ink.playedSeconds / 60)),
              count: ink.takes,
            }),
            t('logbook.dayNotes', {
              asWritten: notes.filter(({ asWritten }) => asWritten).length,
              judged: notes.length,
            }),
          ]
        : [t('logbook.nothingPlayed')]),
      ...playedOn.map(({ hornId, mouthpiece, reed }) =>
        [t(`horn.${hornId}`), mouthpiece, reed].filter(Boolean).join(' · '),
      ),
      rows.join(', '),
      note.text,
      note.temperatureC === null ? '' : t('logbook.celsius', { degrees: note.temperatureC }),
      ...marks.map((mark) => markText(mark, t)),
    ],
    sections:
      milestones.length === 0
        ? []
        : [
            {
              title: t('logbook.reachedTitle'),
              lines: milestones.map((milestone) => milestoneText(milestone, settings.naming, t)),
            },
          ],
    takes: await reportTakes(takes, withSound, settings.naming, t),
  };
}

/** The seven days up to one: day by day, and the takes that were written on. */
export async function weekReport(
  { day, settings }: LoggedDay,
  withSound: boolean,
  t: TFunction,
): Promise<Report> {
  const last = parseISO(day);
  const dates = eachDayOfInterval({ start: subDays(last, 6), end: last }).map((date) => dayOf(date));
  const practice = await listPractice(settings.source, dates[0], day);
  const days = inkDays(practice);
  const written = await listDayNotes(dates[0], day);
  const takes: TakeRecord[] = [];
  for (const date of dates) takes.push(...(await takesOfDay(date, settings.source)).toReversed());
  const seconds = [...days.values()].reduce((sum, { playedSeconds }) => sum + playedSeconds, 0);
  return {
    language: i18next.language,
    title: t('report.week', {
      from: dateText(subDays(last, 6), 'day'),
      to: dateText(last, 'dayYear'),
    }),
    lines: [t('logbook.monthOf', { minutes: Math.round(seconds / 60), count: days.size })],
    sections: dates.flatMap((date) => {
      const ink = days.get(date);
      const text = written.find((each) => each.day === date)?.text ?? '';
      if (!ink && text === '') return [];
      return [
        {
          title: dateText(parseISO(date), 'weekday'),
          lines: [
            ink
              ? t('logbook.dayAccount', {
                  minutes: Math.max(1, Math.round(ink.playedSeconds / 60)),
                  count: ink.takes,
                })
              : '',
            text,
          ],
        },
      ];
    }),
    takes: await reportTakes(
      takes.filter(({ playerNote }) => playerNote !== ''),
      withSound,
      settings.naming,
      t,
    ),
  };
}
