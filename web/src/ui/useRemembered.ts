/** What rooms showed last, by what was looked at. */
const shown = new Map<string, unknown>();

/**
 * What was read, or, until it is, what the same look showed before: a room that is entered again stands at once and follows a
 * moment later. `key` names all that the value depends on but what is stored.
 */
export function useRemembered<T>(key: string, value: T | null | undefined): T | null {
  if (value !== null && value !== undefined) shown.set(key, value);
  return value ?? (shown.get(key) as T | undefined) ?? null;
}
