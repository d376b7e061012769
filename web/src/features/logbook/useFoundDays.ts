import { useLiveQuery } from 'dexie-react-hooks';
import { dayOf, listDayNotes, listPractice, readSettings } from '../../storage/index.ts';

/** A day on which every searched word was written, on it or on its takes. */
export interface FoundDay {
  day: string;
  text: string;
}

const FIRST = '0000';
const MOST_DAYS = 100;

/** Letters as they are searched: without case and accents. */
const plain = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLocaleLowerCase();

/** Days found by words, newest first; empty without words, null while they are looked for. */
export function useFoundDays(words: string): FoundDay[] | null {
  return (
    useLiveQuery(async () => {
      const wanted = plain(words).split(/\s+/).filter(Boolean);
      if (wanted.length === 0) return [];
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
        .filter(({ text }) => wanted.every((word) => plain(text).includes(word)))
        .toSorted((a, b) => b.day.localeCompare(a.day))
        .slice(0, MOST_DAYS);
    }, [words]) ?? null
  );
}
