import i18next from 'i18next';
import { initReactI18next } from 'react-i18next';

export const LANGUAGES = ['en', 'de', 'it'] as const;
export type Language = (typeof LANGUAGES)[number];
/** Each in its own language, so that it is found by whoever cannot read the page. */
export const LANGUAGE_NAMES: Record<Language, string> = { en: 'English', de: 'Deutsch', it: 'Italiano' };
/** A language, or the first of the device's that we speak. */
export type ChosenLanguage = Language | 'device';

/** Words before the first room, words of all rooms, words of help: nobody waits for what is not yet read. */
const PARTS = {
  startup: {
    en: () => import('./messages/en/startup.json'),
    de: () => import('./messages/de/startup.json'),
    it: () => import('./messages/it/startup.json'),
  },
  app: {
    en: () => import('./messages/en/app.json'),
    de: () => import('./messages/de/app.json'),
    it: () => import('./messages/it/app.json'),
  },
  help: {
    en: () => import('./messages/en/help.json'),
    de: () => import('./messages/de/help.json'),
    it: () => import('./messages/it/help.json'),
  },
};
type Part = keyof typeof PARTS;

const isLanguage = (name: string): name is Language => LANGUAGES.some((each) => each === name);
const languageOf = (chosen: ChosenLanguage): Language =>
  chosen === 'device'
    ? (navigator.languages.map((tag) => tag.slice(0, 2).toLowerCase()).find(isLanguage) ?? 'en')
    : chosen;

/** What has been asked for; another language brings the same. */
const needed = new Set<Part>(['startup']);
const learnt = new Set<string>();
let tellStarted = () => {};
/** The router asks for the words of its rooms before the player's settings, and so the language, are read. */
const started = new Promise<void>((resolve) => (tellStarted = resolve));

async function learn(language: Language, part: Part): Promise<void> {
  needed.add(part);
  const key = `${language} ${part}`;
  if (learnt.has(key)) return;
  const { default: words } = await PARTS[part][language]();
  i18next.addResourceBundle(language, 'translation', words, true);
  learnt.add(key);
}

/** Begins to speak; to be called once, before anything is drawn. */
export async function startWords(chosen: ChosenLanguage): Promise<void> {
  const language = languageOf(chosen);
  await i18next.use(initReactI18next).init({
    lng: language,
    resources: {},
    fallbackLng: false,
    interpolation: { escapeValue: false },
    returnNull: false,
    react: { bindI18nStore: 'added' },
  });
  await learn(language, 'startup');
  document.documentElement.lang = language;
  tellStarted();
}

/** Learns the words of a part in the language that is spoken. */
export async function loadMessages(part: Part): Promise<void> {
  await started;
  await learn(i18next.language as Language, part);
}

/** Changes the language of everything on screen. */
export async function setLanguage(chosen: ChosenLanguage): Promise<void> {
  const language = languageOf(chosen);
  if (language === i18next.language) return;
  await Promise.all([...needed].map((part) => learn(language, part)));
  await i18next.changeLanguage(language);
  document.documentElement.lang = language;
}
