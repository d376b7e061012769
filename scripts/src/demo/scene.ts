import type { DemoRound } from '@inner-hum/core/formats';
import type { Told } from './playTake.ts';

/** A take of a scene before it has a name and a set-up. */
export interface SceneTake extends Omit<Told, 'id' | 'second' | 'gear' | 'seed' | 'hornId'> {
  hour: number;
}

/** Takes that show one thing, on the alto. */
export interface Scene {
  takes: SceneTake[];
  rounds: DemoRound[];
}
