import { LAST_FUNDAMENTAL } from '../../horn/index.ts';
import { defineFamily, note } from './family.ts';
import { beatsOption, markOption, noteOption, startOption, tempoOption, timesOption } from './options.ts';
import { rung } from './rung.ts';

/** Of a long tube an overtone can be held as well: the fundamental to the double octave. */
const partialOfTube = { kind: 'number', unit: 'partial', least: 1, most: 4, step: 1, usual: 1 } as const;

/** One steady note, or an overtone of a low one, for as long as it stays good, and no longer: a bad tone is not rehearsed. */
export const longHold = defineFamily({
  id: 'longHold',
  skill: 'hold',
  purposes: ['hold'],
  headline: 'hold',
  options: ({ lowest, highest }) => ({
    note: noteOption(lowest, highest, 67),
    // Notes over F4 have no tube whose overtones are held.
    ...(lowest <= LAST_FUNDAMENTAL && { partial: partialOfTube }),
    beats: beatsOption(32, 8, 64),
    from: markOption('mf'),
    tries: timesOption(3, 1, 10),
    tempoBpm: tempoOption(60),
    start: startOption('playToStart'),
  }),
  write({ note: base, partial, beats, from, tries }) {
    const isOvertone = typeof partial === 'number' && partial > 1 && base <= LAST_FUNDAMENTAL;
    const held = isOvertone ? rung(base, partial, beats, from, 'any') : note(base, beats, from);
    return {
      onFault: 'stop',
      rest: { kind: 'asPlayed' },
      phrases: [{ items: [{ ...held, open: true }], breath: 'one', repeats: tries }],
    };
  },
});
