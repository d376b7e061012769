/** A moment so many days before today, at an hour of that day. */
export function timeOf(today: Date, daysAgo: number, hour: number): number {
  const time = new Date(today);
  time.setDate(today.getDate() - daysAgo);
  time.setHours(Math.floor(hour), Math.round((hour % 1) * 60), 0, 0);
  return time.getTime();
}
