import type { Choices, FamilyId } from '../exercise/index.ts';

/** What a sheet may ask for: on one of several notes, or (null) on its own. */
export interface LineTemplate {
  family: FamilyId;
  /** Tires lip or breath: is followed by something light. */
  isHeavy: boolean;
  notes: readonly number[] | null;
  /** `note` is the one of them it is on; `wanted` all of them, the most wanted first. */
  choices(note: number, day: number, wanted: readonly number[]): Choices;
}

/** A template of a line, in one line. */
export function lineTemplate(
  family: FamilyId,
  isHeavy: boolean,
  notes: readonly number[] | null,
  choices: LineTemplate['choices'],
): LineTemplate {
  return { family, isHeavy, notes, choices };
}
