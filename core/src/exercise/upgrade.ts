/** Version 1: a row of notes, nothing else. */
interface ExerciseOfVersion1 {
  version: 1;
  items: unknown[];
}

const isOf = (value: unknown, version: number): value is { version: number } =>
  typeof value === 'object' && value !== null && (value as { version?: unknown }).version === version;

/**
 * Brings an exercise of an older version up to date without checking it; anything else comes back as it is. Version 2 was always in
 * time: it keeps the start it has.
 */
export function upgradeExercise(value: unknown): unknown {
  if (isOf(value, 2)) return { ...value, version: 3 };
  if (!isOf(value, 1)) return value;
  const { items, ...rest } = value as ExerciseOfVersion1;
  return { ...rest, version: 3, family: 'swell', phrases: [{ items, breath: 'one' }] };
}
