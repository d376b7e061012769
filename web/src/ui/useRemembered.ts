/** What rooms showed last, by what was looked at; the oldest looks are forgotten. */
const shown = new Map<string, unknown>();
const MOST_LOOKS = 24;

function remember(key: string, value: unknown): void {
  shown.delete(key);
  shown.set(key, value);
  const [oldest] = shown.keys();
  if (shown.size > MOST_LOOKS && oldest !== undefined) shown.delete(oldest);
}

/**
 * What was read, or, until it is, what the same look showed before: a room that is entered again stands at once and follows a
 * moment later. `key` names all that the value depends on but what is stored.
 */
export function useRemembered<T>(key: string, value: T | null | undefined): T | null {
  if (value !== null && value !== undefined && shown.get(key) !== value) remember(key, value);
  return value ?? (shown.get(key) as T | undefined) ?? null;
}
