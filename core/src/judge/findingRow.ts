import type { Judged } from '../exercise/index.ts';
import type { Advice } from './advice.ts';
import type { Fields, ValuesOf } from './fields.ts';

/** What is said of a kind of finding in one place; all else about it is derived from here. */
export interface FindingRow<Of extends Fields> {
  /** The weightiest is told: what is not there, a torn tone, how it began, then stairs, beat, pitch, shape. */
  weight: number;
  advice: Advice;
  /** Its figures, and what else it tells. */
  fields: Of;
  /** What a note must be judged by for it to count; null: what happens is always told. */
  judged: Judged | null;
  /** Nothing stood out: it takes nothing from what was as written. */
  neutral: boolean;
  /** Which of several sentences says it: none, or all of these. */
  forms: readonly string[];
  formOf(payload: ValuesOf<Of>): string;
}

export const NOTHING = {};

/** A row; what is not said is as usual: always told, in one sentence, and it stands out. */
export const row = <const Of extends Fields = typeof NOTHING>(
  weight: number,
  advice: Advice,
  fields?: Of,
  said: Partial<Pick<FindingRow<Of>, 'judged' | 'neutral' | 'forms' | 'formOf'>> = {},
): FindingRow<Of> => ({
  weight,
  advice,
  fields: fields ?? ({} as Of),
  judged: said.judged ?? null,
  neutral: said.neutral ?? false,
  forms: said.forms ?? [],
  formOf: said.formOf ?? (() => ''),
});

/** One sentence for each side of a figure. */
export const sided = <Payload>(below: string, above: string, figure: (payload: Payload) => number) => ({
  forms: [below, above],
  formOf: (payload: Payload) => (figure(payload) > 0 ? above : below),
});
/** Another partial than the one that was wanted; the first has a name. */
export const fundamental = <Payload>(partial: (payload: Payload) => number) => ({
  forms: ['', 'Fundamental'],
  formOf: (payload: Payload) => (partial(payload) === 1 ? 'Fundamental' : ''),
});
