import { toWritten, soundingMidi, type Horn, type HornId } from '../../horn/index.ts';
import type { Body } from '../exercise.ts';
import { defineFamily, downAndBack, note, restOf, type FamilyId } from './family.ts';
import { beatsOption, halfStepsOption, startOption, tempoOption } from './options.ts';

/** Sounding pitch commonly aimed at; schools and mouthpieces differ, so it can be moved. */
const MOUTHPIECE: Record<HornId, number> = { soprano: 84, alto: 81, tenor: 79, baritone: 74 };
/** From the length of neck and mouthpiece with the missing tip of the cone; a start, to be moved to what sounds. */
const NECK: Record<HornId, number> = { soprano: 78, alto: 68, tenor: 64, baritone: 59 };

const MOVED = 7;

/** One pitch held as on the horn, then bent down and brought back by the tongue alone. */
const alone = (id: FamilyId, body: Body, pitches: Record<HornId, number>) =>
  defineFamily({
    id,
    skill: 'voicing',
    purposes: ['voicing'],
    options(horn: Horn) {
      const usual = toWritten(soundingMidi(pitches[horn.id]), horn);
      return {
        note: { kind: 'sounding', least: usual - MOVED, most: usual + MOVED, usual },
        beats: beatsOption(8, 4, 16),
        bend: halfStepsOption(3, 1, 12),
        tempoBpm: tempoOption(60),
        start: startOption('playToStart'),
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

export const mouthpieceAlone = alone('mouthpieceAlone', 'mouthpiece', MOUTHPIECE);
export const neckAlone = alone('neckAlone', 'neck', NECK);
