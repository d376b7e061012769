import type { WrittenMidi } from '../horn/index.ts';

/** A field of what is told, as it must be: a finite number, a note, perhaps none, yes or no, or one of these words. */
export type Field = 'number' | 'numberOrNull' | 'midi' | 'midiOrNull' | 'flag' | readonly string[];
export type Fields = Readonly<Record<string, Field>>;

interface Values {
  number: number;
  numberOrNull: number | null;
  midi: WrittenMidi;
  midiOrNull: WrittenMidi | null;
  flag: boolean;
}
/** What has such fields. */
export type ValuesOf<Of extends Fields> = {
  -readonly [Name in keyof Of]: Of[Name] extends keyof Values
    ? Values[Of[Name]]
    : Of[Name] extends readonly (infer Word)[]
      ? Word
      : never;
};
