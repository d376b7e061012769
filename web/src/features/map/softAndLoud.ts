import { markFraction, type DynamicScale } from '@inner-hum/core/exercise';

/** Levels of pp and ff on a player's scale, in tens of dB from its middle. */
export function softAndLoud({ floorDb, ceilingDb }: DynamicScale): { soft: number; loud: number } {
  const at = (fraction: number) => ((fraction - 0.5) * (ceilingDb - floorDb)) / 10;
  return { soft: at(markFraction('pp')), loud: at(markFraction('ff')) };
}
