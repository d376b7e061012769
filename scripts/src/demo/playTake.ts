import { DEFAULT_SCALE, type Exercise } from '@inner-hum/core/exercise';
import type { DemoMoment, DemoTake } from '@inner-hum/core/formats';
import { FrameTrack, listenTo } from '@inner-hum/core/hearing';
import type { HornId } from '@inner-hum/core/horn';
import { analyseTake, playingLoadOf, takeLoudness } from '@inner-hum/core/judge';
import {
  DEMO_LEAD_SECONDS,
  DEMO_TAIL_SECONDS,
  playExercise,
  type ItemFault,
  type SimulatedProfile,
} from '@inner-hum/core/simulated';

const RATE_HZ = 48000;
/** What is to be played and kept. */
export interface Told extends DemoMoment {
  id: string;
  /** One phrase. */
  exercise: Exercise;
  hornId: HornId;
  gear: Pick<DemoTake, 'mouthpieceId' | 'reedId' | 'reedKind'>;
  profile: SimulatedProfile;
  faults?: readonly ItemFault[];
  seed: number;
  eyes?: DemoTake['eyes'];
  call?: DemoTake['call'];
  playerNote?: string;
  roundId?: string;
  phrase?: number;
}

/** Lets the simulated player play a phrase, hears it and judges it, as the app does. */
export function playTake(told: Told): DemoTake {
  const { exercise, hornId, gear, profile, faults = [], seed } = told;
  const scale = DEFAULT_SCALE;
  const { samples, beatZeroSeconds } = playExercise({
    exercise,
    hornId,
    a4Hz: 440,
    scale,
    profile,
    faults,
    sampleRateHz: RATE_HZ,
    seed,
    leadSeconds: DEMO_LEAD_SECONDS,
    tailSeconds: DEMO_TAIL_SECONDS,
  });
  const track: FrameTrack = listenTo(samples, RATE_HZ);
  const context: DemoTake['context'] = {
    exercise,
    hornId,
    a4Hz: 440,
    scale,
    toleranceId: 'usual',
    roomFloorDb: null,
    beatZeroSeconds: exercise.start === 'countIn' ? beatZeroSeconds : null,
  };
  const analysis = analyseTake(track, context, []);
  return {
    id: told.id,
    daysAgo: told.daysAgo,
    second: told.second,
    context,
    ...gear,
    roundId: told.roundId ?? null,
    phrase: told.phrase ?? 0,
    eyes: told.eyes ?? 'watch',
    call: told.call ?? null,
    playerNote: told.playerNote ?? '',
    sampleRateHz: RATE_HZ,
    lengthSeconds: samples.length / RATE_HZ,
    played: { profile, faults: [...faults], seed },
    analysis,
    playingLoad: playingLoadOf(track, { hornId, a4Hz: 440, scale }),
    loudness: analysis && takeLoudness(track),
    frames: track.slice(0),
  };
}
