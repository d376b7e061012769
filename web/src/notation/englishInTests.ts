import i18next, { type TFunction } from 'i18next';
import app from '../words/messages/en/app.json';
import startup from '../words/messages/en/startup.json';
import { nameNotesInTexts } from './notesInTexts.ts';

/** For tests: the English sentences of the rooms, with notes by their letters. */
export async function englishInTests(): Promise<TFunction> {
  const t = await i18next.init({
    lng: 'en',
    resources: { en: { translation: { ...startup, ...app } } },
    interpolation: { escapeValue: false },
  });
  nameNotesInTexts('letters');
  return t;
}
