import { expect, it } from 'vitest';
import {
  frequencyHz,
  hornById,
  nameNote,
  nearestMidi,
  readNote,
  regularTube,
  soundingMidi,
  toSounding,
  toWritten,
  writtenMidi,
} from './index.ts';

it('knows the lowest sounding notes of the family', () => {
  // Written Bb3 (A3 on the baritone): Ab3 207.65, Db3 138.59, Ab2 103.83, C2 65.41 Hz at A4 = 440.
  const lowest = (['soprano', 'alto', 'tenor', 'baritone'] as const).map((id) => {
    const horn = hornById(id);
    return Math.round(100 * frequencyHz(toSounding(horn.lowest, horn), 440)) / 100;
  });
  expect(lowest).toEqual([207.65, 138.59, 103.83, 65.41]);
});

it('turns every written note into sounding and back', () => {
  const horn = hornById('tenor');
  for (let midi = horn.lowest as number; midi <= horn.highest; midi++)
    expect(toWritten(toSounding(writtenMidi(midi), horn), horn)).toBe(midi);
  expect(nearestMidi(441.9, 440)).toBe(soundingMidi(69));
});

it('names notes as saxophone books and as players abroad do', () => {
  const names = (naming: 'letters' | 'german' | 'fixedDo') =>
    [58, 59, 61, 75].map((midi) => {
      const { stem, accidental, octave } = nameNote(midi, naming);
      return `${stem}${accidental}${octave}`;
    });
  expect(names('letters')).toEqual(['Bflat3', 'B3', 'Csharp4', 'Eflat5']);
  expect(names('german')).toEqual(['B3', 'H3', 'Cis4', 'Es5']);
  expect(names('fixedDo')).toEqual(['Siflat3', 'Si3', 'Dosharp4', 'Miflat5']);
});

it('overblows the tube an octave below from D5 on', () => {
  expect(regularTube(writtenMidi(73))).toEqual({ tube: 73, partial: 1 });
  expect(regularTube(writtenMidi(74))).toEqual({ tube: 62, partial: 2 });
});

it('reads what it names, and refuses what is no note', () => {
  for (let midi = 40; midi < 100; midi++) {
    const { stem, accidental, octave } = nameNote(midi, 'letters');
    expect(readNote(`${stem}${{ sharp: '#', flat: 'b', '': '' }[accidental]}${octave}`)).toBe(midi);
  }
  expect(['h3', 'C', 'c##4', '', 'Bb33'].map(readNote)).toEqual([null, null, null, null, null]);
});
