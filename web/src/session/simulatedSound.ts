import type { Desk } from '../audio/index.ts';
import type { SessionClient } from '../workers/index.ts';
import type { Round } from './round.ts';
import type { SessionSetup } from './setup.ts';

/** By itself: it knows the families, and a first room does not. */
const requests = () => import('./simulatedRequest.ts');

export interface SimulatedSound {
  /** Renders what will be played for a take; done when it is ready. Only the newest is kept. */
  render(setup: SessionSetup, round: Round, takeId: string, seed: number): Promise<void>;
  /** Plays what was rendered for this take; `onOver` comes at its end. Of another take nothing sounds. */
  perform(takeId: string, atSeconds: number, onOver: () => void): void;
  /** Plays as one who tries the horn, if that is still wanted once it is rendered. */
  performFree(setup: SessionSetup, isWanted: () => boolean): Promise<void>;
}

/** What the simulated player plays, rendered by the worker at the rate of the open input. */
export function createSimulatedSound(
  client: SessionClient,
  desk: Desk,
  rateHz: () => number,
): SimulatedSound {
  let rendered: { takeId: string; samples: Float32Array<ArrayBuffer>; sampleRateHz: number } | null = null;
  return {
    async render(setup, round, takeId, seed) {
      const sampleRateHz = rateHz();
      const samples = await client.remote.renderSimulated(
        (await requests()).simulatedRequest(setup, round, sampleRateHz, seed),
      );
      rendered = { takeId, samples, sampleRateHz };
    },
    perform(takeId, atSeconds, onOver) {
      if (rendered?.takeId !== takeId) return;
      const { samples, sampleRateHz } = rendered;
      rendered = null;
      desk.perform({ samples, sampleRateHz, atSeconds, onOver });
    },
    async performFree(setup, isWanted) {
      const sampleRateHz = rateHz();
      const samples = await client.remote.renderFreePlaying({
        ...(await requests()).simulatedOf(setup, sampleRateHz),
        seed: 1,
      });
      if (isWanted()) desk.perform({ samples, sampleRateHz, atSeconds: 0, onOver: null });
    },
  };
}
