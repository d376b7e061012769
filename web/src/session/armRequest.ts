import { gearOf } from '../storage/index.ts';
import type { ArmRequest } from '../workers/index.ts';
import { phraseOf, type Round } from './round.ts';
import type { SessionSetup } from './setup.ts';

/** What the worker must know of a take before it begins. */
export function armRequest(
  setup: SessionSetup,
  round: Round,
  rest: Pick<ArmRequest, 'takeId' | 'afterSilence' | 'roundTripSeconds' | 'droneLeakDb'>,
): ArmRequest {
  const { hornId, a4Hz, toleranceId, subtoneWindow, source, eyes } = setup.settings;
  return {
    ...rest,
    context: {
      exercise: phraseOf(round),
      hornId,
      a4Hz,
      scale: setup.scale,
      toleranceId,
      subtoneWindow,
      roomFloorDb: setup.roomFloorDb,
    },
    gear: gearOf(setup.settings),
    source,
    eyes,
    roundId: round.record?.id ?? null,
    phrase: round.index,
  };
}
