import i18next from 'i18next';
import { initReactI18next } from 'react-i18next';

export const LANGUAGES = ['en', 'de', 'it'] as const;
export type Language = (typeof LANGUAGES)[number];

/** Words before the first room (`hall`), and those of all rooms: a first visit must not wait for the second. */
const HALL = {
  en: () => import('./messages/en/hall.json'),
  de: () => import('./messages/de/hall.json'),
  it: () => import('./messages/it/hall.json'),
};
const ROOMS = {
  en: () => import('./messages/en/rooms.json'),
  de: () => import('./messages/de/rooms.json'),
  it: () => import('./messages/it/rooms.json'),
};

const isLanguage = (name: string): name is Language => LANGUAGES.some((each) => each === name);

/** The first of the device's languages that we speak. */
const ofDevice = (): Language =>
  navigator.languages.map((tag) => tag.slice(0, 2).toLowerCase()).find(isLanguage) ?? 'en';

const added = new Set<string>();
let tellStarted = () => {};
/** The router asks for the words of its rooms before the player's settings, and so the language, are read. */
const started = new Promise<void>((resolve) => (tellStarted = resolve));

async function add(language: Language, part: typeof HALL | typeof ROOMS): Promise<void> {
  const { default: words } = await part[language]();
  i18next.addResourceBundle(language, 'translation', words, true);
}

/** Learns the words of the hall in the device's language; the player's own choice is worn as soon as it is known. */
export async function startWords(chosen: Language | 'device'): Promise<void> {
  const language = chosen === 'device' ? ofDevice() : chosen;
  await i18next.use(initReactI18next).init({
    lng: language,
    resources: {},
    fallbackLng: false,
    interpolation: { escapeValue: false },
    returnNull: false,
    react: { bindI18nStore: 'added' },
  });
  await add(language, HALL);
  document.documentElement.lang = language;
  tellStarted();
}

/** Learns the words of the rooms in the language that is worn; once each. */
export async function wordsOfRooms(): Promise<void> {
  await started;
  const language = i18next.language as Language;
  if (added.has(language)) return;
  await add(language, ROOMS);
  added.add(language);
}

/** Changes the language of everything on screen. */
export async function wearLanguage(chosen: Language | 'device'): Promise<void> {
  const language = chosen === 'device' ? ofDevice() : chosen;
  if (language === i18next.language) return;
  await Promise.all([add(language, HALL), add(language, ROOMS)]);
  added.add(language);
  await i18next.changeLanguage(language);
  document.documentElement.lang = language;
}
