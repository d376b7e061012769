import i18next, { type TFunction } from 'i18next';
import type { Report } from '../../listing/index.ts';
import { measureText } from '../../notation/index.ts';
import { dateText } from '../../words/index.ts';
import { distanceText } from './aimText.ts';
import type { AimProgress } from './useAims.ts';
import { weeksLayout } from './weeksLayout.ts';

const WIDTH = 640;
const HEIGHT = 120;
const MARGIN = 10;

/** An aim, for a teacher: what is wanted, how far it is, week by week. */
export function aimReport(each: AimProgress, t: TFunction): Report {
  const { aim, progress } = each;
  const { goal } = aim;
  const target = measureText(goal.target, goal.measure, t);
  return {
    language: i18next.language,
    title: aim.text,
    lines: [
      `${t(`trend.measure.${goal.measure}`)}: ${t(goal.wants === 'less' ? 'aim.atMostOf' : 'aim.atLeastOf', { target })}`,
      distanceText(each, t),
    ],
    sections: [
      {
        title: t('report.weeks'),
        drawing: weeksSvg(each),
        lines: progress.weeks.map(({ at, value, count }) =>
          t('report.weekOf', {
            date: dateText(at, 'day'),
            value: measureText(value, goal.measure, t),
            count,
          }),
        ),
      },
    ],
    takes: [],
  };
}

function weeksSvg({ aim: { goal }, progress: { weeks } }: AimProgress): string {
  const { x, y } = weeksLayout(weeks, goal.target, { width: WIDTH, height: HEIGHT, margin: MARGIN });
  const rule = y(goal.target).toFixed(1);
  const dots = weeks.map(
    ({ value }, i) => `<circle cx="${x(i).toFixed(1)}" cy="${y(value).toFixed(1)}" r="4" fill="#2A1F2D"/>`,
  );
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDTH} ${HEIGHT}" aria-hidden="true">` +
    `<line x1="0" x2="${WIDTH}" y1="${rule}" y2="${rule}" stroke="#8A5A12"/>${dots.join('')}</svg>`
  );
}
