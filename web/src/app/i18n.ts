import i18next from 'i18next';
import { initReactI18next } from 'react-i18next';
import en from './messages/en.json';

/** All words of the interface live in message files; English is the first. */
export async function startI18n(): Promise<void> {
  await i18next.use(initReactI18next).init({
    lng: 'en',
    fallbackLng: 'en',
    resources: { en: { translation: en } },
    interpolation: { escapeValue: false },
    returnNull: false,
  });
}
