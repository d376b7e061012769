import {
  familyById,
  phraseExercise,
  scoreOf,
  type Choices,
  type ExerciseItem,
} from '@inner-hum/core/exercise';
import { hornById, writtenMidi, type NoteNaming } from '@inner-hum/core/horn';
import i18next, { type TFunction } from 'i18next';
import { beforeAll, describe, expect, it } from 'vitest';
import de from '../words/messages/de/app.json';
import deStartup from '../words/messages/de/startup.json';
import en from '../words/messages/en/app.json';
import startup from '../words/messages/en/startup.json';
import italian from '../words/messages/it/app.json';
import itStartup from '../words/messages/it/startup.json';
import { intervalName } from './intervalName.ts';
import { itemName } from './itemName.ts';
import { namedNoteText } from './namedNoteText.ts';
import { noteText, shortNote } from './NoteGlyph.tsx';

let t: TFunction;
beforeAll(async () => {
  t = await i18next.init({
    lng: 'en',
    resources: {
      en: { translation: { ...startup, ...en } },
      de: { translation: { ...deStartup, ...de } },
      it: { translation: { ...itStartup, ...italian } },
    },
    interpolation: { escapeValue: false },
  });
});

const midi = writtenMidi;

describe('a note’s name', () => {
  it('is spelled by its key, in each naming', () => {
    const spelled = (naming: NoteNaming, key: Parameters<typeof noteText>[2]) =>
      [61, 63, 66, 68, 70].map((note) => noteText(note, naming, key));
    expect(spelled('letters', null)).toEqual(['C sharp 4', 'E flat 4', 'F sharp 4', 'G sharp 4', 'B flat 4']);
    expect(spelled('letters', 'Db')).toEqual(['D flat 4', 'E flat 4', 'G flat 4', 'A flat 4', 'B flat 4']);
    expect(spelled('letters', 'B')).toEqual([
      'C sharp 4',
      'D sharp 4',
      'F sharp 4',
      'G sharp 4',
      'A sharp 4',
    ]);
    expect(spelled('german', 'Db')).toEqual(['Des 4', 'Es 4', 'Ges 4', 'As 4', 'B 4']);
    expect(spelled('german', 'B')).toEqual(['Cis 4', 'Dis 4', 'Fis 4', 'Gis 4', 'Ais 4']);
    expect(spelled('fixedDo', 'Ab')[3]).toBe('La flat 4');
    // The seventh of F sharp major is an E sharp, in the octave of its letter; that of C sharp would be a B sharp.
    expect(shortNote(65, 'letters', 'F#')).toBe('E sharp 4');
    expect(shortNote(65, 'german', 'F#')).toBe('Eis4');
    expect(noteText(59, 'german')).toBe('H 3');
  });

  it('says which fingering it is taken from, and as what it is asked for', () => {
    const named = (note: number, fingered: number | null, rest = {}) =>
      namedNoteText(
        { writtenMidi: midi(note), fingered: fingered === null ? null : midi(fingered), ...rest },
        'letters',
        t,
      );
    expect(named(72, null)).toBe('C 5');
    expect(named(72, 72)).toBe('C 5');
    expect(named(72, 60)).toBe('C 5 over C 4');
    expect(named(82, 75)).toBe('B flat 5 over E flat 5, overblown');
    expect(named(62, null, { tone: 'subtone' })).toBe('D 4 subtone');
    expect(named(61, null, { spelledIn: 'Ab' })).toBe('D flat 4');
  });

  it('is said over the item where it is news: a fingering that changes, a subtone, the side of a comparison', () => {
    const over = (family: string, choices: Choices = {}) => {
      const horn = hornById('alto');
      const exercise = phraseExercise(familyById(family)?.build(horn, choices) ?? raise(family), 0);
      const items = scoreOf(exercise).map(({ item }) => item);
      return items.map((item, i) =>
        itemName(item, i > 0 ? items[i - 1] : undefined, exercise, 'alto', 'letters', t),
      );
    };
    expect(over('overtoneSwitch')).toEqual(['B flat 4', 'B flat 4 over B flat 3', 'B flat 4']);
    // One fingering held through all of it is said once.
    expect(over('overtoneCascade', { note: 58, to: 58, partial: 3 })).toEqual([
      'F5 over B flat 3',
      'B flat 4',
      'B flat 3',
    ]);
    expect(over('fullToSubtone', { note: 62, to: 62 })).toEqual(['D4', 'D4 subtone', 'D4']);
    expect(
      over('lipPositions', { tries: 1 })
        .filter((name) => name !== null)
        .toSorted(),
    ).toEqual(['A', 'B']);
    expect(over('intervalTones')).toContain('Imagine');
    const held: ExerciseItem = { kind: 'rest', lengthBeats: 2, breath: 'none' };
    const exercise = phraseExercise(familyById('swell')?.build(hornById('alto')) ?? raise('swell'), 0);
    expect(itemName(held, undefined, exercise, 'alto', 'letters', t)).toBe('No breath');
    expect(itemName({ ...held, breath: 'free' }, undefined, exercise, 'alto', 'letters', t)).toBeNull();
  });
});

function raise(name: string): never {
  throw new Error(name);
}

describe('an interval', () => {
  it('has its name in every language, up or down, as far as two octaves', async () => {
    const named = (...steps: number[]) => steps.map((step) => intervalName(step, i18next.t));
    expect(named(1, 3, -3, 6, 12, 15, 24)).toEqual([
      'minor second',
      'minor third',
      'minor third',
      'tritone',
      'octave',
      'minor tenth',
      'two octaves',
    ]);
    expect(named(25)).toEqual(['25 half steps']);
    await i18next.changeLanguage('de');
    expect(named(3, 7, 19)).toEqual(['kleine Terz', 'Quinte', 'Duodezime']);
    await i18next.changeLanguage('it');
    expect(named(3, 7, 19)).toEqual(['terza minore', 'quinta', 'dodicesima']);
    await i18next.changeLanguage('en');
    for (let step = 0; step <= 24; step++) expect(intervalName(step, t)).not.toMatch(/interval|\{/);
  });
});
