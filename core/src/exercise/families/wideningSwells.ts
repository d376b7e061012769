import { defineFamily, note } from './family.ts';
import { beatsOption, halfStepsOption, markOption, noteOption, paceOption, tempoOption } from './options.ts';

/**
 * From one note as soft as possible to as loud as possible, at the peak over to another that fades; that other a half
 * step farther off each time.
 */
const widening = <const Id extends string>(
  id: Id,
  direction: 1 | -1,
  isUsual: (lowest: number, highest: number) => number,
) =>
  defineFamily({
    id,
    skill: 'swell',
    gate: 'widening',
    purposes: ['swell', 'line'],
    headline: 'swells',
    options: ({ lowest, highest }) => ({
      note: noteOption(
        direction > 0 ? lowest : lowest + 1,
        direction > 0 ? highest - 1 : highest,
        isUsual(lowest, highest),
      ),
      widest: halfStepsOption(12, 1, 36),
      beats: beatsOption(4, 2, 12),
      from: markOption('pp'),
      loud: markOption('ff'),
      tempoBpm: tempoOption(60),
      start: paceOption('countIn'),
    }),
    write({ note: fixed, widest, beats, from, loud }, { lowest, highest }) {
      const room = direction > 0 ? highest - fixed : fixed - lowest;
      return {
        rest: { kind: 'asPlayed' },
        phrases: Array.from({ length: Math.min(widest, room) }, (_, i) => ({
          items: [
            note(fixed, beats, from, loud, 'breath'),
            note(fixed + direction * (i + 1), beats, loud, from, 'slurred'),
          ],
          breath: 'one' as const,
        })),
      };
    },
  });

/** F6, where the range has it. */
const FROM_TOP = 89;

export const wideningDown = widening('wideningDown', -1, (_, highest) => Math.min(FROM_TOP, highest));
/** The hardest of them: from the lowest note upward. */
export const wideningUp = widening('wideningUp', 1, (lowest) => lowest);
