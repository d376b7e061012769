import type { GoalWeek } from '@inner-hum/core/practice';

/** Where the weeks of an aim and its target fall on a drawing. */
export function weeksLayout(
  weeks: readonly GoalWeek[],
  target: number,
  { width, height, margin }: { width: number; height: number; margin: number },
) {
  const values = [...weeks.map(({ value }) => value), target];
  const [least, most] = [Math.min(...values), Math.max(...values)];
  return {
    x: (week: number) => margin + (week / Math.max(1, weeks.length - 1)) * (width - 2 * margin),
    y: (value: number) =>
      height - margin - ((value - least) / Math.max(1e-9, most - least)) * (height - 2 * margin),
  };
}
