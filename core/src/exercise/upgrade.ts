/** Version 1: a row of notes, nothing else. */
interface ExerciseOfVersion1 {
  version: 1;
  items: unknown[];
}

const isVersion1 = (value: unknown): value is ExerciseOfVersion1 =>
  typeof value === 'object' && value !== null && (value as { version?: unknown }).version === 1;

/** Brings an exercise of an older version up to date without checking it; anything else comes back as it is. */
export function upgradeExercise(value: unknown): unknown {
  if (!isVersion1(value)) return value;
  const { items, ...rest } = value;
  return { ...rest, version: 2, family: 'swell', phrases: [{ items, breath: 'one' }] };
}
