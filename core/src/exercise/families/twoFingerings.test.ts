import { expect, it } from 'vitest';
import { HORN_IDS, hornById, partialNote, routesTo, writtenMidi } from '../../horn/index.ts';
import { liftFifth, noteWithoutFifth, playedPhrases } from '../index.ts';
import { familyById, type Choices } from './index.ts';

const build = (family: string, choices: Choices = {}, hornId: (typeof HORN_IDS)[number] = 'alto') => {
  const found = familyById(family)?.build(hornById(hornId), choices);
  if (!found) throw new Error(family);
  return found;
};
const notesOf = (exercise: ReturnType<typeof build>, phrase = 0) =>
  exercise.phrases[phrase].items.flatMap((item) =>
    item.kind === 'note' ? [[item.writtenMidi, item.fingered, item.attack]] : [],
  );

it('writes fifths from D5 to B5, by half or whole steps, up or down', () => {
  const bases = (choices: Choices) =>
    build('fifths', choices).phrases.map((_, i) => notesOf(build('fifths', choices), i)[0][0]);
  expect(bases({})).toEqual([74, 75, 76, 77, 78, 79, 80, 81, 82, 83]);
  expect(bases({ steps: 'wholeSteps' })).toEqual([74, 76, 78, 80, 82]);
  expect(bases({ note: 79, to: 75, steps: 'wholeSteps' })).toEqual([79, 77, 75]);
  expect(notesOf(build('fifths', { note: 76, to: 76 }))).toEqual([
    [76, null, 'any'],
    [83, 76, 'slurred'],
    [76, null, 'slurred'],
  ]);
  expect(playedPhrases(build('fifths', { note: 76, to: 76, tries: 8 }))).toHaveLength(8);
});

it('writes them on every horn whose range has them, and every fifth has that route', () => {
  for (const hornId of HORN_IDS) {
    const horn = hornById(hornId);
    for (const { items } of build('fifths', {}, hornId).phrases)
      for (const item of items)
        if (item.kind === 'note' && item.fingered !== null)
          expect(routesTo(item.writtenMidi, horn).map(({ fingered }) => fingered)).toContain(item.fingered);
  }
  expect(familyById('fifths')?.options({ ...hornById('alto'), highest: writtenMidi(73) })).toBeNull();
  // Nobody is sent over the own range for a base.
  const low = familyById('fifths')?.build({ ...hornById('alto'), highest: writtenMidi(77) });
  expect(low?.phrases).toHaveLength(4);
});

it('goes round one tube by own fingers, overtone and fundamental, tube after tube', () => {
  const loop = build('tubeLoop', { note: 58, to: 60, partial: 3, rounds: 'two' });
  expect(loop.phrases).toHaveLength(3);
  const low = partialNote(writtenMidi(58), 3);
  expect(notesOf(loop).slice(0, 5)).toEqual([
    [low, null, 'any'],
    [low, 58, 'slurred'],
    [58, null, 'slurred'],
    [low, null, 'slurred'],
    [low, 58, 'slurred'],
  ]);
  expect(notesOf(loop)).toHaveLength(10);
  expect(loop.phrases.every(({ breath }) => breath === 'one')).toBe(true);
  // Asked for more than the double octave it stays there.
  expect(notesOf(build('tubeLoop', { note: 58, partial: 8 }))[0][0]).toBe(partialNote(writtenMidi(58), 4));
});

it('plays, sings and then overblows one and the same note', () => {
  const { phrases } = build('ownFirst', { note: 60, partial: 3 });
  const midis = phrases[0].items.map((item) => ('writtenMidi' in item ? item.writtenMidi : null));
  expect(new Set(midis)).toEqual(new Set([partialNote(writtenMidi(60), 3)]));
  expect(phrases[0].items.map(({ kind }) => kind)).toEqual(['note', 'hum', 'note']);
});

it('holds the keys of the higher note under both, whichever were chosen', () => {
  const keysOf = (choices: Choices) =>
    build('voicedNote', choices).phrases[0].items.map((item) =>
      item.kind === 'note' ? (item.keys?.join(' ') ?? '') : '?',
    );
  const [first, own, again, voiced] = keysOf({});
  expect(first).not.toBe('');
  expect([own, again, voiced]).toEqual(['', first, first]);
  const chosen = keysOf({ keys: 'oct.L1.L3' });
  expect(chosen).toEqual(['oct L1 L3', '', 'oct L1 L3', 'oct L1 L3']);
  expect(notesOf(build('voicedNote', { note: 94, bend: 3 })).map(([midi]) => midi)).toEqual([94, 91, 94, 91]);
});

it('lifts a line a fifth by its own fingers, phrase by phrase, and says what cannot be lifted', () => {
  const line = build('highByStep', { note: 90, climb: 6 });
  expect(noteWithoutFifth(line)).toBe(84);
  expect(liftFifth(line)).toBeNull();
  const short = build('fifths', { note: 74, to: 74 });
  // What is an overtone already has no other.
  expect(noteWithoutFifth(short)).toBe(81);
  const plain = build('chromaticTones', { note: 74, to: 76 });
  const lifted = liftFifth(plain);
  expect(lifted?.phrases).toHaveLength(6);
  expect([0, 1, 2, 3].map((i) => notesOf(lifted ?? plain, i)[0].slice(0, 2))).toEqual([
    [74, null],
    [81, 74],
    [75, null],
    [82, 75],
  ]);
});
