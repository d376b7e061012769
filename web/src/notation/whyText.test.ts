import i18next, { type TFunction } from 'i18next';
import { beforeAll, expect, it } from 'vitest';
import { decodeWav, readJson } from '@inner-hum/core/formats';
import { parseExercise } from '@inner-hum/core/exercise';
import { readScore } from '@inner-hum/core/scores';
import { REASONS, whyOf } from '@inner-hum/core/signal';
import de from '../words/messages/de/app.json';
import en from '../words/messages/en/app.json';
import italian from '../words/messages/it/app.json';
import { whyText } from './whyText.ts';

beforeAll(() =>
  i18next.init({
    lng: 'en',
    resources: { en: { translation: en }, de: { translation: de }, it: { translation: italian } },
    interpolation: { escapeValue: false },
  }),
);

const bytes = (text: string) => new TextEncoder().encode(text);

/** What a player may bring in, and the reason that must be told. */
const BROKEN: [what: string, read: () => unknown, reason: string][] = [
  ['an empty sound', () => decodeWav(bytes('')), 'empty'],
  ['a text named WAV', () => decodeWav(bytes('no sound at all')), 'notWav'],
  ['a WAV without its sound', () => decodeWav(bytes('RIFF0000WAVE')), 'cutShort'],
  ['an empty score', () => readScore(bytes('')), 'empty'],
  ['a page of the web', () => readScore(bytes('<html><body></body></html>')), 'notScore'],
  ['XML with entities', () => readScore(bytes('<!DOCTYPE a [<!ENTITY b "c">]><a>&b;</a>')), 'entities'],
  ['XML that is none', () => readScore(bytes('<score-partwise><part></score-partwise>')), 'notXml'],
  ['a MIDI file cut short', () => readScore(bytes('MThd')), 'notMidi'],
  ['a text named JSON', () => readJson('no', {}), 'notJson'],
  ['JSON that is deep', () => readJson('['.repeat(99) + ']'.repeat(99), { depth: 12 }), 'tooDeep'],
  ['an exercise without notes', () => parseExercise({ version: 3 }), 'exercise'],
];

it.each(BROKEN)('says of %s why, in three languages', (_, read, reason) => {
  let why = null;
  try {
    read();
  } catch (error) {
    why = whyOf(error);
  }
  expect(why?.reason?.name).toBe(reason);
  const said = (['en', 'de', 'it'] as const).map(
    (language) => why && whyText(why, i18next.getFixedT(language) as TFunction),
  );
  expect(new Set(said).size).toBe(3);
  for (const text of said) expect(text).not.toMatch(/\{\{|undefined|why\./);
});

it('has a sentence for every reason, and lets a program speak where there is none', () => {
  expect(Object.keys(en.why)).toEqual(expect.arrayContaining([...REASONS]));
  const t = i18next.getFixedT('en') as TFunction;
  expect(whyText(whyOf(new Error('The disk is gone')), t)).toBe('The disk is gone');
  expect(whyText(whyOf('odd'), t)).toBe('odd');
});
