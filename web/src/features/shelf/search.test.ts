import i18next, { type TFunction } from 'i18next';
import { beforeAll, describe, expect, it } from 'vitest';
import type { FamilyId } from '@inner-hum/core/exercise';
import { hornById, type NoteNaming } from '@inner-hum/core/horn';
import de from '../../words/messages/de/app.json';
import en from '../../words/messages/en/app.json';
import it_ from '../../words/messages/it/app.json';
import { rankOfWords } from '../../notation/index.ts';
import { entryTexts } from '../../listing/index.ts';
import { shelfEntries } from '../../listing/index.ts';
import { readShelfFilter, wantedEntries } from './shelfFilter.ts';

// What a player types, in three languages, and the drill that is to stand among the first it finds.

beforeAll(() =>
  i18next.init({
    lng: 'en',
    resources: { en: { translation: en }, de: { translation: de }, it: { translation: it_ } },
    interpolation: { escapeValue: false },
  }),
);

const NAMING: Record<'en' | 'de' | 'it', NoteNaming> = { en: 'letters', de: 'german', it: 'fixedDo' };
const entries = shelfEntries([], hornById('alto'));

function found(language: 'en' | 'de' | 'it', words: string): (FamilyId | null)[] {
  const t = i18next.getFixedT(language) as TFunction;
  const filter = { ...readShelfFilter(new URLSearchParams()), words };
  return wantedEntries(entries, filter, [], (entry) => entryTexts(entry, NAMING[language], t)).map(
    ({ familyId }) => familyId,
  );
}

const ENGLISH: [string, FamilyId][] = [
  ['overtones', 'overtoneClimb'],
  ['overtone series', 'overtoneHits'],
  ['harmonics', 'overtoneClimb'],
  ['long tones', 'longHold'],
  ['low notes', 'lowTwoWays'],
  ['chromatic', 'chromaticTones'],
  ['crescendo', 'swell'],
  ['diminuendo', 'swell'],
  ['attack', 'airThenNote'],
  ['breath attack', 'airThenNote'],
  ['palm keys', 'keyRuns'],
  ['honk', 'dropToBottom'],
  ['lick', 'overtoneScale'],
  ['leak', 'dropToBottom'],
  ['octave slur', 'octaveRestart'],
  ['sing', 'hearHumPlay'],
  ['intervals', 'intervalTones'],
  ['altissimo', 'highTries'],
  ['subtone', 'fullToSubtone'],
  ['vibrato', 'vibratoTones'],
  ['tuning', 'chartRun'],
  ['pitch bend', 'noteBends'],
  ['trill', 'keyRuns'],
  ['reed', 'beforeAfter'],
  ['ballad', 'subtoneLine'],
];
const GERMAN: [string, FamilyId][] = [
  ['Obertöne', 'overtoneClimb'],
  ['obertonreihe', 'overtoneHits'],
  ['Naturtöne', 'overtoneClimb'],
  ['lange Töne', 'longHold'],
  ['tiefe Töne', 'lowTwoWays'],
  ['chromatisch', 'chromaticTones'],
  ['Crescendo', 'swell'],
  ['Ansatz', 'airThenNote'],
  ['Luftansatz', 'airThenNote'],
  ['Palmklappen', 'keyRuns'],
  ['Oktavbindung', 'octaveRestart'],
  ['singen', 'hearHumPlay'],
  ['Intervalle', 'intervalTones'],
  ['hohe Töne', 'highTries'],
  ['Vibrato', 'vibratoTones'],
  ['Intonation', 'chartRun'],
  ['Tonleiter', 'fullScales'],
  ['Triller', 'keyRuns'],
];
const ITALIAN: [string, FamilyId][] = [
  ['armonici', 'overtoneClimb'],
  ['serie degli armonici', 'overtoneHits'],
  ['note lunghe', 'longHold'],
  ['note gravi', 'lowTwoWays'],
  ['cromatico', 'chromaticTones'],
  ['crescendo', 'swell'],
  ['attacco', 'airThenNote'],
  ['ottava', 'octaveRestart'],
  ['cantare', 'hearHumPlay'],
  ['intervalli', 'intervalTones'],
  ['sovracuti', 'highTries'],
  ['vibrato', 'vibratoTones'],
  ['intonazione', 'chartRun'],
  ['scala', 'fullScales'],
  ['trillo', 'keyRuns'],
  ['ancia', 'beforeAfter'],
  ['soffiato', 'fullToSubtone'],
];

describe.each([
  ['en', ENGLISH],
  ['de', GERMAN],
  ['it', ITALIAN],
] as const)('the Shelf in %s', (language, table) => {
  // So many stand on the first screen of a phone and of a desk.
  it.each(table)('finds by “%s” %s among the first', (words, family) => {
    expect(found(language, words).slice(0, 8)).toContain(family);
  });

  it('finds whatever the case, the accents, the hyphens and the order', () => {
    for (const [words, family] of table) {
      const changed = words
        .toUpperCase()
        .normalize('NFD')
        .replace(/\p{M}/gu, '')
        .split(' ')
        .toReversed()
        .join(' - ');
      expect(found(language, changed).slice(0, 8), changed).toContain(family);
    }
  });
});

it('finds every drill by its own name, first or beside its namesakes', () => {
  for (const language of ['en', 'de', 'it'] as const)
    for (const { familyId } of entries) {
      if (!familyId) continue;
      const name = i18next.getFixedT(language)(`familyName.${familyId}`);
      expect(found(language, name).slice(0, 5), `${language} ${name}`).toContain(familyId);
    }
});

it('finds by the notes a drill reaches', () => {
  expect(found('en', 'low b flat')).toContain('quietDescent');
  expect(found('en', 'f sharp 6 scale')).toContain('fullScales');
});

it('finds nothing for what is no word, and everything for none', () => {
  expect(found('en', '')).toHaveLength(entries.length);
  expect(found('en', '!?… 😀')).toEqual([]);
  expect(found('en', 'xyzzy')).toEqual([]);
  expect(found('en', 'overtone xyzzy')).toEqual([]);
  expect(found('en', 'qqx '.repeat(4000))).toEqual([]);
});

it('ranks a name before another word for it, and a beginning before what lies within', () => {
  const rank = (texts: string[], words: string) => rankOfWords(texts, words);
  expect(rank(['Overtones', ''], 'overtone')).toBe(0);
  expect(rank(['', 'overtones'], 'overtones')).toBe(1);
  expect(rank(['Overtone climb'], 'overtones')).toBeCloseTo(0.3);
  expect(rank(['Teiltonreihe'], 'tonreihe')).toBeCloseTo(0.6);
  expect(rank(['one', 'two'], 'one two')).toBe(1);
  expect(rank(['one'], 'two')).toBeNull();
});
