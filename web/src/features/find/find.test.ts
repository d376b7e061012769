import i18next, { type TFunction } from 'i18next';
import { beforeAll, describe, expect, it } from 'vitest';
import { hornById, type NoteNaming } from '@inner-hum/core/horn';
import { shelfEntries } from '../../listing/index.ts';
import de from '../../words/messages/de/app.json';
import deHelp from '../../words/messages/de/help.json';
import deStartup from '../../words/messages/de/startup.json';
import en from '../../words/messages/en/app.json';
import enHelp from '../../words/messages/en/help.json';
import enStartup from '../../words/messages/en/startup.json';
import italian from '../../words/messages/it/app.json';
import itHelp from '../../words/messages/it/help.json';
import itStartup from '../../words/messages/it/startup.json';
import { find, findEntries } from './findEntries.ts';

type Language = 'en' | 'de' | 'it';
const NAMING: Record<Language, NoteNaming> = { en: 'letters', de: 'german', it: 'fixedDo' };

beforeAll(() =>
  i18next.init({
    lng: 'en',
    resources: {
      en: { translation: { ...enStartup, ...en, ...enHelp } },
      de: { translation: { ...deStartup, ...de, ...deHelp } },
      it: { translation: { ...itStartup, ...italian, ...itHelp } },
    },
    interpolation: { escapeValue: false },
  }),
);

const exercises = shelfEntries([], hornById('alto'));
const all = (language: Language) =>
  findEntries(exercises, NAMING[language], i18next.getFixedT(language) as TFunction);
const first = (language: Language, words: string) => find(all(language), words).entries.map(({ to }) => to);

/** What a player asks for, and where it is: first, or among the first. */
const ASKED: [Language, string, string][] = [
  ['en', 'metronome', '/stand'],
  ['en', 'tuner', '/stand'],
  ['en', 'settings', '/case'],
  ['en', 'export', '/case/keeping'],
  ['en', 'archive', '/case/keeping'],
  ['en', 'restore', '/case/keeping'],
  ['en', 'dark', '/case#display'],
  ['en', 'keyboard shortcuts', '/case#keys'],
  ['en', 'A4 442', '/case#horn'],
  ['en', 'microphone', '/case#input'],
  ['en', 'glossary', '/words'],
  ['en', 'progress', '/logbook/trends'],
  ['en', 'goals', '/logbook/aims'],
  ['en', 'leak', '/map/findings'],
  ['en', 'mouthpiece pull out', '/map/mouthpiece'],
  ['en', 'altissimo', '/high'],
  ['en', 'harmonics', '/ladder'],
  ['en', 'note names', '/case#display'],
  ['en', 'reed strength', '/case#reeds'],
  ['en', 'voicing', '/words#voicing'],
  ['en', 'homework', '/task/new'],
  ['en', 'why this plan', '/today/why'],
  ['en', 'level test', '/case/hearing'],
  ['en', 'several players', '/case#books'],
  ['de', 'Metronom', '/stand'],
  ['de', 'Einstellungen', '/case'],
  ['de', 'Sicherung', '/case/keeping'],
  ['de', 'wiederherstellen', '/case/keeping'],
  ['de', 'dunkel', '/case#display'],
  ['de', 'Kammerton', '/case#horn'],
  ['de', 'Blatt', '/case#reeds'],
  ['de', 'Fortschritt', '/logbook/trends'],
  ['de', 'Grifftabelle', '/high'],
  ['de', 'Notennamen', '/case#display'],
  ['de', 'Hausaufgabe', '/task/new'],
  ['de', 'Einstufung', '/case/hearing'],
  ['it', 'metronomo', '/stand'],
  ['it', 'impostazioni', '/case'],
  ['it', 'backup', '/case/keeping'],
  ['it', 'scuro', '/case#display'],
  ['it', 'diapason', '/case#horn'],
  ['it', 'ancia', '/case#reeds'],
  ['it', 'progressi', '/logbook/trends'],
  ['it', 'tastiera', '/case#keys'],
  ['it', 'compiti', '/task/new'],
  ['it', 'altri utenti', '/case#books'],
];

describe('one field for everything', () => {
  it.each(ASKED)('finds in %s by “%s” %s among the first', (language, words, to) => {
    expect(first(language, words).slice(0, 4)).toContain(to);
  });

  it('finds every room by its own name first, and every exercise among the first', () => {
    for (const language of ['en', 'de', 'it'] as const)
      for (const { kind, name, to } of all(language)) {
        if (kind === 'room') expect(first(language, name).slice(0, 3), `${language} ${name}`).toContain(to);
        if (kind === 'exercise')
          expect(first(language, name).slice(0, 6), `${language} ${name}`).toContain(to);
      }
  });

  it('shows the rooms before anything is asked, what begins alike where nothing answers, and else nothing', () => {
    expect(find(all('en'), '').entries.every(({ kind }) => kind === 'room')).toBe(true);
    const near = find(all('en'), 'overtunes');
    expect(near.isNear).toBe(true);
    expect(near.entries.filter(({ to }) => to.includes('overtone')).length).toBeGreaterThan(3);
    expect(find(all('en'), 'qqxyz')).toEqual({ entries: [], isNear: false });
    expect(find(all('en'), '😀 !?')).toEqual({ entries: [], isNear: false });
    expect(find(all('en'), 'qqx '.repeat(3000)).entries).toEqual([]);
  });
});
