import { useLiveQuery } from 'dexie-react-hooks';
import { dayOf, listDayNotes, listPractice, readSettings } from '../../storage/index.ts';
import { holdsWords } from '../../notation/index.ts';

/** A day on which every searched word was written, on it or on its takes. */
export interface FoundDay {
  day: string;
  text: string;
}

const FIRST = '0000';
const MOST_DAYS = 100;

/** Days found by words, newest first; empty without words, null while they are looked for. */
export function useFoundDays(words: string): FoundDay[] | null {
  return (
    useLiveQuery(async () => {
      if (words.trim() === '') return [];
      const { source } = await readSettings();
      const today = dayOf(Date.now());
      const texts = new Map<string, string[]>();
      const add = (day: string, text: string) => {
        if (text !== '') texts.set(day, [...(texts.get(day) ?? []), text]);
      };
      for (const { day, text } of await listDayNotes(FIRST, today)) add(day, text);
      for (const { day, words: written } of await listPractice(source, FIRST, today)) add(day, written);
      return [...texts]
        .map(([day, all]) => ({ day, text: all.join(' · ') }))
        .filter(({ text }) => holdsWords(text, words.trim()))
        .toSorted((a, b) => b.day.localeCompare(a.day))
        .slice(0, MOST_DAYS);
    }, [words]) ?? null
  );
}
