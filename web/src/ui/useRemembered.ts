/** What rooms showed last, by what was looked at; the oldest looks are forgotten. */
const shown = new Map<string, unknown>();
const MOST_LOOKS = 24;

function remember(key: string, value: unknown): void {
  shown.delete(key);
  shown.set(key, value);
  const [oldest] = shown.keys();
  if (shown.size > MOST_LOOKS && oldest !== undefined) shown.delete(oldest);
}

/** What was read, and for which look: after a change of the look a live query still answers for the one before. */
export interface Keyed<T> {
  key: string;
  value: T;
}

/**
 * What was read for a look; until it is, what the same look showed before, so that a room that is entered again stands at once;
 * else what was read last. `key` names all that the value depends on but what is stored.
 */
export function useRemembered<T>(key: string, latest: Keyed<T> | null | undefined): T | null {
  if (latest && shown.get(latest.key) !== latest.value) remember(latest.key, latest.value);
  if (latest?.key === key) return latest.value;
  return (shown.get(key) as T | undefined) ?? latest?.value ?? null;
}
