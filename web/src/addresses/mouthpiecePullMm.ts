import { familyOf, USUAL_PULL, type Exercise } from '@inner-hum/core/exercise';

/** Millimetres the mouthpiece is pulled out by in a round that moves it, as its address has it; 0 in any other. */
export function mouthpiecePullMm({
  exercise,
  address,
}: {
  exercise: Pick<Exercise, 'family'>;
  address: string;
}): number {
  if (familyOf(exercise)?.home !== 'mouthpiece') return 0;
  return Number(new URLSearchParams(address.split('?')[1]).get('pull') ?? USUAL_PULL) / 10;
}
