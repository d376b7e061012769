import { fingeringKey, HIGHEST_PARTIAL, readFingeringKey } from '../../horn/index.ts';
import { DYNAMIC_MARKS, type DynamicMark } from '../dynamics.ts';
import { readSofts, softsWord } from './softs.ts';
import { PACES, type Pace } from '../exercise.ts';

/** What may be chosen of a family, with what is usual. `sounding`: a written note shown by the pitch that sounds. */
export type Option =
  | { kind: 'note' | 'sounding'; least: number; most: number; usual: number }
  | {
      kind: 'number';
      unit: 'bpm' | 'beats' | 'times' | 'halfSteps' | 'cents' | 'minutes' | 'partial' | 'tenthMm';
      least: number;
      most: number;
      step: number;
      usual: number;
    }
  | { kind: 'mark'; usual: DynamicMark }
  /** Keys that are pressed, as one word; see `fingeringKey`. Empty: those of the note. */
  | { kind: 'keys'; usual: '' }
  /** Written notes in order, as one word of MIDI numbers; empty: all. */
  | { kind: 'notes'; usual: '' }
  /** A softest mark for each note by itself; see `softs.ts`. */
  | { kind: 'softs'; usual: '' }
  /** The same, typed by the player: at most `count` between `least` and `most`. */
  | {
      kind: 'pick';
      least: number;
      most: number;
      count: number;
      /** What is played where none is picked; empty: all of them. */
      unpicked: readonly number[];
      usual: '';
    }
  /** Some of several words, in an order of the player's own; empty: all, as is usual. */
  | { kind: 'order'; values: readonly string[]; usual: '' }
  | { kind: 'choice'; values: readonly string[]; usual: string };

/** Names of options; they stand in addresses, and each has words in the message file. */
export type OptionName =
  | 'note'
  | 'to'
  | 'low'
  | 'high'
  | 'tempoBpm'
  | 'start'
  | 'path'
  | 'key'
  | 'end'
  | 'form'
  | 'shape'
  | 'beats'
  | 'airBeats'
  | 'restBeats'
  | 'imagineBeats'
  | 'freeBeats'
  | 'widest'
  | 'climb'
  | 'bend'
  | 'raise'
  | 'changes'
  | 'value'
  | 'soft'
  | 'softs'
  | 'minutes'
  | 'tries'
  | 'rounds'
  | 'partial'
  | 'attack'
  | 'overtones'
  | 'route'
  | 'from'
  | 'loud'
  | 'keys'
  | 'notes'
  | 'order'
  | 'pull'
  | 'vibrato'
  | 'ways'
  | 'steps';

export type Options = { readonly [Name in OptionName]?: Option };
/** What was chosen, by option; what is left out is as usual. */
export type Choices = { readonly [Name in OptionName]?: number | string };

/** Every option of a family with its value. */
export type Chosen<Own> = {
  readonly [Name in keyof Own]: Own[Name] extends { kind: 'mark' }
    ? DynamicMark
    : Own[Name] extends { kind: 'choice'; values: readonly (infer Value)[] }
      ? Value
      : Own[Name] extends { kind: 'keys' | 'notes' | 'pick' | 'softs' | 'order' }
        ? string
        : number;
};

const between = (least: number, most: number, value: number) => Math.max(least, Math.min(most, value));

/** A written note within bounds; usual outside them is brought inside. */
export const noteOption = (least: number, most: number, usual: number) =>
  ({ kind: 'note', least, most, usual: between(least, most, usual) }) as const;

const numbers =
  (unit: 'beats' | 'times' | 'halfSteps' | 'cents', step = 1) =>
  (usual: number, least: number, most: number) =>
    ({ kind: 'number', unit, least, most, step, usual: between(least, most, usual) }) as const;
export const beatsOption = numbers('beats');
export const timesOption = numbers('times');
export const halfStepsOption = numbers('halfSteps');
export const centsOption = numbers('cents', 5);

/** Partial of a tube, 2 to 8. */
export const partialOption = (usual: number) =>
  ({ kind: 'number', unit: 'partial', least: 2, most: HIGHEST_PARTIAL, step: 1, usual }) as const;

/** Quarter notes a minute. */
export const tempoOption = (usual: number, least = 30, most = 240) =>
  ({ kind: 'number', unit: 'bpm', least, most, step: 1, usual }) as const;
/** A dynamic mark, ppp to fff. */
export const markOption = (usual: DynamicMark) => ({ kind: 'mark', usual }) as const;
/** One of several words. */
export const choiceOption = <const Value extends string>(values: readonly Value[], usual: Value) =>
  ({ kind: 'choice', values, usual }) as const;
/** Some of several words in an order of one's own. */
export const orderOption = <const Value extends string>(values: readonly Value[]) =>
  ({ kind: 'order', values, usual: '' }) as const;
/** The words of such an order, each once. */
export const readOrder = <Value extends string>(word: string, values: readonly Value[]): Value[] => [
  ...new Set(word.split('.').flatMap((each) => values.find((value) => value === each) ?? [])),
];

/** Whether the first note sets the beat, or a bar is counted before it. */
export const startOption = (usual: 'playToStart' | 'countIn') =>
  choiceOption(['playToStart', 'countIn'], usual);
/** The same, or in the player's own time. */
export const paceOption = (usual: Pace) => choiceOption(PACES, usual);

/** As many as an exercise may have phrases. */
const MOST_NOTES = 60;
export const notesOption = { kind: 'notes', usual: '' } as const;

/** Notes of one's own choice, typed one by one. */
export const pickedNotesOption = (
  least: number,
  most: number,
  { count = MOST_NOTES, unpicked = [] }: { count?: number; unpicked?: readonly number[] } = {},
) => ({ kind: 'pick', least, most, count, unpicked, usual: '' }) as const;
/** The picked notes that a range has, in the order they were picked, each once. */
export const pickedOf = (word: string, lowest: number, highest: number): number[] => [
  ...new Set(readNotes(word).filter((midi) => midi >= lowest && midi <= highest)),
];

/** The notes of such a word; what is no note is left out. */
export const readNotes = (word: string): number[] =>
  word
    .split('.')
    .map(Number)
    .filter((midi) => Number.isInteger(midi) && midi >= 40 && midi <= 110)
    .slice(0, MOST_NOTES);

export const keysOption = { kind: 'keys', usual: '' } as const;

/** The value of one option: what was chosen where it can be, brought inside its bounds, else what is usual. */
export function chosenOf(option: Option, value: unknown): number | string {
  if (option.kind === 'mark' || option.kind === 'choice') {
    const values: readonly string[] = option.kind === 'mark' ? DYNAMIC_MARKS : option.values;
    return typeof value === 'string' && values.includes(value) ? value : option.usual;
  }
  if (option.kind === 'notes' || option.kind === 'pick')
    return typeof value === 'string' ? readNotes(value).join('.') : '';
  if (option.kind === 'order')
    return typeof value === 'string' ? readOrder(value, option.values).join('.') : '';
  if (option.kind === 'softs') return typeof value === 'string' ? softsWord(readSofts(value)) : '';
  if (option.kind === 'keys') return typeof value === 'string' ? fingeringKey(readFingeringKey(value)) : '';
  if (typeof value !== 'number' || !Number.isFinite(value)) return option.usual;
  return between(option.least, option.most, Math.round(value));
}
