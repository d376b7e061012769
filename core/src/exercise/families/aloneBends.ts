import { toWritten, type Horn, type SoundingMidi } from '../../horn/index.ts';
import type { Body } from '../exercise.ts';
import { defineFamily, downAndBack, note, restOf } from './family.ts';
import { beatsOption, halfStepsOption, paceOption, tempoOption } from './options.ts';

const MOVED = 7;

/** One pitch held as on the horn, then bent down and brought back by the tongue alone. */
const alone = <const Id extends string>(id: Id, body: Body, pitchOf: (horn: Horn) => SoundingMidi) =>
  defineFamily({
    id,
    skill: 'voicing',
    purposes: ['voicing'],
    headline: 'bend',
    options(horn: Horn) {
      const usual = toWritten(pitchOf(horn), horn);
      return {
        note: { kind: 'sounding', least: usual - MOVED, most: usual + MOVED, usual },
        beats: beatsOption(8, 4, 16),
        bend: halfStepsOption(3, 1, 12),
        tempoBpm: tempoOption(60),
        start: paceOption('ownTime'),
      } as const;
    },
    write({ note: midi, beats, bend }) {
      const held = note(midi, beats, 'mf');
      return {
        body,
        rest: { kind: 'asPlayed' },
        phrases: [
          { items: [held], breath: 'one' },
          {
            items: [
              {
                ...held,
                judged: ['pitch', 'hold'],
                bend: downAndBack(beats, bend),
              },
            ],
            breath: 'one',
            repeats: 3,
            rest: restOf(8),
          },
        ],
      };
    },
  });

export const mouthpieceAlone = alone('mouthpieceAlone', 'mouthpiece', ({ mouthpieceMidi }) => mouthpieceMidi);
export const neckAlone = alone('neckAlone', 'neck', ({ neckMidi }) => neckMidi);
