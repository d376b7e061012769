/** How far back the map looks: the last day, six weeks, a year, everything, or since the mouthpiece was moved last. */
export const RANGES = ['day', 'weeks', 'year', 'all', 'move'] as const;
export type MapRange = (typeof RANGES)[number];

/** What of the map is in the address. */
export interface MapLook {
  range: MapRange;
  /** What lies under it: what is usual, nothing, the time before, or another set-up by its key. */
  over: string;
  note: number | null;
}

export function readMapLook(search: URLSearchParams): MapLook {
  const note = Number(search.get('note'));
  const range = search.get('range');
  return {
    range: RANGES.find((each) => each === range) ?? 'year',
    over: search.get('over') ?? 'usual',
    note: Number.isInteger(note) && note > 0 ? note : null,
  };
}

export function mapSearch({ range, over, note }: MapLook): string {
  return new URLSearchParams({
    ...(range !== 'year' && { range }),
    ...(over !== 'usual' && { over }),
    ...(note !== null && { note: String(note) }),
  }).toString();
}
