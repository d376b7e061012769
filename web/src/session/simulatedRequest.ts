import { highHabits, inItsOwnTime, movedHabits } from '@inner-hum/core/simulated';
import { mouthpiecePullMm } from '../addresses/index.ts';
import type { SimulatedRequest } from '../workers/index.ts';
import { phraseOf, type Round } from './round.ts';
import type { SessionSetup } from './setup.ts';

/** The simulated player as the set-up has it. */
export function simulatedOf(
  setup: SessionSetup,
  sampleRateHz: number,
): Omit<SimulatedRequest, 'exercise' | 'seed'> {
  const { hornId, a4Hz } = setup.settings;
  return { hornId, a4Hz, scale: setup.scale, profile: setup.profile, sampleRateHz };
}

/**
 * What the simulated player is to play for a take: with what its horn does to high notes, and with another place of the
 * mouthpiece; the steady one has no high notes of its own.
 */
export function simulatedRequest(
  setup: SessionSetup,
  round: Round,
  sampleRateHz: number,
  seed: number,
): SimulatedRequest {
  const { hornId, a4Hz, profileId } = setup.settings;
  const exercise = phraseOf(round);
  const pulledMm = round.index > 0 && round.record ? mouthpiecePullMm(round.record) : 0;
  const faults =
    pulledMm !== 0
      ? movedHabits(exercise, hornId, a4Hz, pulledMm)
      : profileId === 'steady'
        ? []
        : highHabits(exercise, hornId, a4Hz, seed);
  return { ...simulatedOf(setup, sampleRateHz), exercise: inItsOwnTime(exercise, seed), faults, seed };
}
