/** Whether something is a day of the calendar, `yyyy-MM-dd`. */
export const isDay = (value: unknown): value is string => {
  if (typeof value !== 'string' || !/^\d{4}-\d{2}-\d{2}$/.test(value)) return false;
  const at = new Date(`${value}T00:00Z`);
  // A day that a month does not have is read as one of the next.
  return !Number.isNaN(at.getTime()) && at.toISOString().startsWith(value);
};
