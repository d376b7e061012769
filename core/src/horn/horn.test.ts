import { expect, it } from 'vitest';
import {
  centsBetween,
  droneHz,
  fingeringKey,
  frequencyHz,
  HIGH_NOTES,
  HIGHEST_NOTE,
  HORN_IDS,
  HORNS,
  hornById,
  nameNote,
  nearestMidi,
  partialNote,
  pitchTarget,
  readNote,
  regularFingering,
  regularTube,
  startFingerings,
  soundingMidi,
  toSounding,
  toWritten,
  writtenMidi,
  type HornId,
} from './index.ts';
import { HIGHEST_HZ, LOWEST_HZ } from '../hearing/index.ts';

it('knows the lowest sounding notes of the family', () => {
  // Written Bb3 (A3 on the baritone): Ab3, Db3, Ab2, C2, Db2, Db4, Bb2, Ab1 at A4 = 440.
  const lowest = HORNS.map((horn) => [
    horn.id,
    Math.round(100 * frequencyHz(toSounding(horn.lowest, horn), 440)) / 100,
  ]);
  expect(Object.fromEntries(lowest)).toEqual({
    soprano: 207.65,
    alto: 138.59,
    tenor: 103.83,
    baritone: 65.41,
    baritoneToBb: 69.3,
    sopranino: 277.18,
    cMelody: 116.54,
    bass: 51.91,
  });
});

it('has no horn that sounds, at any A4 and a semitone off, where nothing is looked for', () => {
  for (const horn of HORNS) {
    const low = frequencyHz(toSounding(horn.lowest, horn), 390) / 2 ** (1 / 12);
    const high = frequencyHz(toSounding(HIGHEST_NOTE, horn), 470) * 2 ** (0.5 / 12);
    expect(low, horn.id).toBeGreaterThan(LOWEST_HZ);
    expect(high, horn.id).toBeLessThan(HIGHEST_HZ);
  }
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
  expect(['h3', 'C', 'c##4', '', 'Bb33'].map((text) => readNote(text))).toEqual([
    null,
    null,
    null,
    null,
    null,
  ]);
});

it('reads every note as the player’s language names it, with signs, words or letters', () => {
  const endings = { letters: ['#', 'b'], german: ['', ''], fixedDo: ['#', 'b'] } as const;
  for (const naming of ['letters', 'german', 'fixedDo'] as const)
    for (let midi = 40; midi < 100; midi++) {
      const { stem, accidental, octave } = nameNote(midi, naming);
      const sign = accidental === '' ? '' : endings[naming][accidental === 'sharp' ? 0 : 1];
      expect(readNote(`${stem}${sign}${octave}`, naming), `${naming} ${midi}`).toBe(midi);
      expect(readNote(` ${stem.toUpperCase()} ${sign} ${octave} `, naming)).toBe(midi);
    }
  expect(['B flat 3', 'B♭3', 'f sharp 4', 'F♯4'].map((text) => readNote(text))).toEqual([58, 58, 66, 66]);
  expect(['b3', 'h3', 'eb5', 'des4', 'cs4'].map((text) => readNote(text, 'german'))).toEqual([
    58,
    59,
    75,
    61,
    null,
  ]);
  expect(['si bemolle 3', 'Bb3', 'ut4'].map((text) => readNote(text, 'fixedDo'))).toEqual([58, 58, null]);
});

it('has something to start from on every high note of every horn, the first finger of a long tube lifted for its sixth partial', () => {
  for (const hornId of HORN_IDS)
    for (const note of HIGH_NOTES.slice(1)) {
      const starts = startFingerings(note, hornId, 'F#').map(fingeringKey);
      expect(new Set(starts).size).toBe(starts.length);
      expect(starts.length, `${hornId} ${note}`).toBeGreaterThanOrEqual(2);
      const tube = regularFingering(writtenMidi(note - 31)).filter((key) => key !== 'L1');
      expect(starts).toContain(fingeringKey(['oct', ...tube]));
      expect(partialNote(writtenMidi(note - 31), 6)).toBe(note);
    }
});

it('tunes a drone like a piano, or so that the played note makes a pure interval with it', () => {
  const cents = (drone: number, played: number, tuning: 'tempered' | 'pure') =>
    1200 *
    Math.log2(
      droneHz(writtenMidi(drone), writtenMidi(played), tuning, 'alto', 440) /
        frequencyHz(toSounding(writtenMidi(drone), hornById('alto')), 440),
    );
  expect(cents(60, 67, 'tempered')).toBe(0);
  // Fifth 701.955, major third 386.314, major seventh 1088.269 cents: a drone under them lies that much higher or lower.
  expect(cents(60, 67, 'pure')).toBeCloseTo(-1.955, 3);
  expect(cents(60, 64, 'pure')).toBeCloseTo(13.686, 3);
  expect(cents(60, 71, 'pure')).toBeCloseTo(11.731, 3);
  // A fourth below: 3/2 of the octave under it.
  expect(cents(60, 55, 'pure')).toBeCloseTo(-1.955, 3);
  expect(cents(60, 72, 'pure')).toBeCloseTo(0, 9);
});

it('knows what should sound where another note is fingered', () => {
  // Written F5 fingered as Bb3 is the third partial of its tube: tempered 2 cents under pure.
  const fingered = { writtenMidi: writtenMidi(77), fingered: writtenMidi(58) };
  const tempered = pitchTarget(fingered, 'alto', 440);
  const pure = pitchTarget(fingered, 'alto', 440, 'pure');
  expect([tempered.partial, pure.partial]).toEqual([3, 3]);
  expect(centsBetween(pure.targetHz, tempered.targetHz)).toBeCloseTo(1.955, 3);
  expect(pitchTarget({ writtenMidi: writtenMidi(77) }, 'alto', 440).partial).toBe(2);
});

it('knows no horn that is none', () => {
  for (const id of HORN_IDS) expect(hornById(id).id).toBe(id);
  for (const id of ['contrabass', '', 'Alto', 'toString'])
    expect(() => hornById(id as HornId)).toThrow(expect.objectContaining({ code: 'horn-unknown' }));
});
