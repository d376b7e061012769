import {
  measureMouthpiece,
  observationsIn,
  usualModel,
  type MouthpieceModel,
  type RetestedNote,
} from '@inner-hum/core/tendency';
import { familyOf } from '@inner-hum/core/exercise';
import { median } from '@inner-hum/core/stats';
import type { Horn, WrittenMidi } from '@inner-hum/core/horn';
import { mouthpiecePullMm } from '../../addresses/index.ts';
import type { RoundRecord, TakeRecord } from '../../storage/index.ts';

/** The mouthpiece moved, with three notes before and after. */
export interface Move {
  at: number;
  pulledMm: number;
  notes: RetestedNote[];
}

/** How sure one note of a re-test is; a pitch of a breath and another. */
const NOTE_ERROR_CENTS = 2.5;

/** Moves that were measured: rounds in which both times were played, oldest first. */
export function movesOf(rounds: readonly RoundRecord[], takes: readonly TakeRecord[]): Move[] {
  return rounds
    .filter(({ exercise }) => familyOf(exercise)?.home === 'mouthpiece')
    .flatMap(({ id, startedAt, exercise, address }): Move[] => {
      const pulledMm = mouthpiecePullMm({ exercise, address });
      const centsOf = (phrase: number) => {
        const take = takes.findLast((each) => each.roundId === id && each.phrase === phrase);
        const notes = take?.context && take.analysis ? observationsIn(take.context, take.analysis) : [];
        return new Map(
          notes.flatMap(({ writtenMidi, points }) => {
            const cents = median(points.map((point) => point.cents));
            return cents === null ? [] : [[writtenMidi, cents] as const];
          }),
        );
      };
      const [before, after] = [centsOf(0), centsOf(1)];
      const notes = [...before].flatMap(([writtenMidi, cents]: [WrittenMidi, number]): RetestedNote[] => {
        const later = after.get(writtenMidi);
        return later === undefined
          ? []
          : [{ writtenMidi, movedCents: later - cents, error: NOTE_ERROR_CENTS }];
      });
      return notes.length === 0 || pulledMm === 0 ? [] : [{ at: startedAt, pulledMm, notes }];
    })
    .toSorted((a, b) => a.at - b.at);
}

/** This horn's own answer to its mouthpiece where it was measured, else the formula's. */
export function modelOf(moves: readonly Move[], horn: Horn): MouthpieceModel {
  const last = moves.at(-1);
  return last ? measureMouthpiece(last.notes, last.pulledMm, horn) : usualModel(horn.id);
}
