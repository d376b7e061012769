import { DEFAULT_SCALE, type Exercise } from '@inner-hum/core/exercise';
import type { ItemFault, StandInProfile } from '@inner-hum/core/standin';
import { firstMouthpiece } from '../../storage/index.ts';
import type { SessionClient } from '../../workers/index.ts';

const DEMO_RATE_HZ = 48000;

interface DemoTake {
  /** One phrase. */
  exercise: Exercise;
  profile: StandInProfile;
  faults?: readonly ItemFault[];
  startedAt: number;
  seed: number;
  eyes?: 'watch' | 'blind';
  playerNote?: string;
  roundId?: string | null;
  phrase?: number;
}

/** Lets the stand-in play a phrase on the alto, through the worker that judges and keeps played takes. */
export function keepDemoTake(client: SessionClient, take: DemoTake): Promise<unknown> {
  const { exercise, profile, faults = [], startedAt, seed, eyes = 'watch' } = take;
  return client.remote.keepStandIn({
    performance: {
      exercise,
      hornId: 'alto',
      a4Hz: 440,
      scale: DEFAULT_SCALE,
      profile,
      faults: [...faults],
      sampleRateHz: DEMO_RATE_HZ,
      seed,
    },
    gear: { mouthpieceId: firstMouthpiece('alto'), reedKind: '', reedId: '' },
    eyes,
    startedAt,
    playerNote: take.playerNote ?? '',
    roundId: take.roundId ?? null,
    phrase: take.phrase ?? 0,
  });
}
