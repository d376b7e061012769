import { defineFamily, note, rest } from './family.ts';
import { beatsOption, choiceOption, markOption, noteOption, startOption, tempoOption } from './options.ts';

/** Down four notes, growing and fading in turn, with beats off between: starts and ends count. Inverted: fading first. */
export const alternatingSwells = defineFamily({
  id: 'alternatingSwells',
  skill: 'swell',
  gate: 'widening',
  purposes: ['swell', 'start'],
  headline: 'swells',
  options: ({ lowest, highest }) => ({
    note: noteOption(lowest + 3, highest, 70),
    form: choiceOption(['growFirst', 'fadeFirst', 'both'], 'both'),
    beats: beatsOption(6, 3, 12),
    restBeats: beatsOption(2, 1, 6),
    from: markOption('mp'),
    loud: markOption('f'),
    tempoBpm: tempoOption(60),
    start: startOption('countIn'),
  }),
  write({ note: top, form, beats, restBeats, from, loud }) {
    const phrase = (growsFirst: boolean) => ({
      items: [0, 1, 2, 3].flatMap((step) => {
        const grows = (step % 2 === 0) === growsFirst;
        const isLast = step === 3;
        // The last one is shorter, and goes down to p (or comes from there).
        const length = isLast ? Math.max(2, beats - 2) : beats;
        const soft = isLast ? 'p' : from;
        const each = note(top - step, length, grows ? soft : loud, grows ? loud : soft, 'breath');
        return isLast ? [each] : [each, rest(restBeats)];
      }),
    });
    const forms = { growFirst: [true], fadeFirst: [false], both: [true, false] }[form];
    return { phrases: forms.map(phrase) };
  },
});
