import { expect, it } from 'vitest';
import { hornById } from '../horn/index.ts';
import { familyById, spellingKey, spellNote, type Choices } from './index.ts';

const phraseOf = (family: string, choices: Choices = {}, phrase = 0) => {
  const exercise = familyById(family)?.build(hornById('alto'), choices);
  if (!exercise) throw new Error(family);
  return exercise.phrases[phrase];
};
const names = (phrase: ReturnType<typeof phraseOf>) => {
  const key = spellingKey(phrase);
  return phrase.items.flatMap((item) => {
    if (item.kind !== 'note') return [];
    const { letter, alter, octave } = spellNote(item.writtenMidi, key);
    return [`${letter}${alter > 0 ? '#' : alter < 0 ? 'b' : ''}${octave}`];
  });
};

it('spells a scale by its key', () => {
  expect(names(phraseOf('fullScales', { key: 'Db' })).slice(0, 4)).toEqual(['Db4', 'Eb4', 'F4', 'Gb4']);
  expect(names(phraseOf('fullScales', { key: 'F#' }))).toContain('E#4');
  expect(names(phraseOf('fullScales', { key: 'D' })).slice(0, 3)).toEqual(['D4', 'E4', 'F#4']);
});

it('spells a chromatic descent in flats, and anything else as a saxophone book does', () => {
  const descent = phraseOf('highByStep', { note: 90, climb: 6 });
  const notes = descent.items.filter(({ kind }) => kind === 'note');
  expect(spellingKey(descent)).toBeNull();
  expect(spellingKey({ items: notes.toReversed() })).toBe('Db');
  // Four notes are called by their keys: low C sharp is a key of its own.
  expect(names(phraseOf('quietDescent'))).toEqual(['C#4', 'C4', 'B3', 'Bb3']);
  expect(spellingKey({ items: [] })).toBeNull();
});
