import fc from 'fast-check';
import { expect, it } from 'vitest';
import { barsOf, FAMILIES } from '@inner-hum/core/exercise';
import { hornById } from '@inner-hum/core/horn';
import { headWidth, layOut } from './layOut.ts';
import { phrasesOf } from './phrasesOf.ts';

const alto = hornById('alto');

it('lays every exercise into lines no wider than the paper: each bar once, in order, one key a line', () => {
  fc.assert(
    fc.property(fc.constantFrom(...FAMILIES), fc.integer({ min: 480, max: 1400 }), (family, width) => {
      const exercise = family.build(alto);
      const lines = layOut(phrasesOf(exercise, 'alto'), width);
      const bars = lines.flat();
      const written = exercise.phrases.flatMap((phrase) => barsOf(phrase, exercise.beatsPerBar));
      expect(bars.map(({ parts }) => parts)).toEqual(written);
      expect(bars.filter(({ isPhraseEnd }) => isPhraseEnd)).toHaveLength(exercise.phrases.length);
      for (const line of lines) {
        expect(new Set(line.map(({ key }) => key)).size).toBe(1);
        const wide = headWidth(line[0].key) + line.reduce((sum, bar) => sum + bar.width, 0);
        // One bar that is wider than the paper by itself has to stay so; the drawing is then made to fit.
        if (line.length > 1) expect(wide).toBeLessThanOrEqual(width + 1);
      }
    }),
    { seed: 11, numRuns: 120 },
  );
});

it('reads neck and mouthpiece by what sounds, everything else as it is written', () => {
  const shifts = (id: string) => {
    const family = FAMILIES.find((each) => each.id === id);
    return new Set(family && phrasesOf(family.build(alto), 'alto').map(({ shift }) => shift));
  };
  expect(shifts('mouthpieceAlone')).toEqual(new Set([-9]));
  expect(shifts('pairedSwells')).toEqual(new Set([0]));
});
