import { DYNAMIC_MARKS, type DynamicMark } from '../dynamics.ts';

/** The softest mark of each note by itself, as one word (`58-p.59-pp`): what this player lately reached on it. Empty: one for all. */
export const softsOption = { kind: 'softs', usual: '' } as const;

const ENTRY = /^(\d{2,3})-([pmf]+)$/;

/** The marks of such a word by their written notes; what is none is left out. */
export function readSofts(word: string): Map<number, DynamicMark> {
  const entries = word.split('.').flatMap((each): [number, DynamicMark][] => {
    const [, midi, name] = ENTRY.exec(each) ?? [];
    const mark = DYNAMIC_MARKS.find((known) => known === name);
    return mark ? [[Number(midi), mark]] : [];
  });
  return new Map(entries);
}

/** Such marks as one word, in their order. */
export const softsWord = (softs: ReadonlyMap<number, DynamicMark>): string =>
  [...softs].map(([midi, mark]) => `${midi}-${mark}`).join('.');

/** The softer of two marks. */
export const softerOf = (one: DynamicMark, other: DynamicMark): DynamicMark =>
  DYNAMIC_MARKS.indexOf(one) < DYNAMIC_MARKS.indexOf(other) ? one : other;
