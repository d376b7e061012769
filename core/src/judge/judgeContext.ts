import { scoreOf, secondsPerBeat, type TimedItem } from '../exercise/index.ts';
import type { NonPlayerSpan, FrameTrack } from '../hearing/index.ts';
import { frameMask, quietestRoom } from '../tone/index.ts';
import { playersFrames } from './playersFrames.ts';
import type { TakeContext } from './takeContext.ts';
import { roomBetween, withoutRoomNoise } from './withoutRoomNoise.ts';
import { withoutTubeNoise } from './withoutTubeNoise.ts';
import { withoutTails } from './withoutTails.ts';
import { toleranceInRoom, TOLERANCES, type Tolerance } from './tolerances.ts';

/** What every part of judging one take needs, put together once. */
export interface JudgeContext {
  track: FrameTrack;
  context: TakeContext;
  foreign: readonly NonPlayerSpan[];
  /** 1 where a frame must not be measured. */
  masked: Uint8Array;
  /** As it is written; of a take in the player's own time stretched to how it was played. */
  score: TimedItem[];
  /** As it is written, in any case. */
  written: readonly TimedItem[];
  secondsPerBeat: number;
  tolerance: Tolerance;
  /** The room's own noise in 2-8 kHz, and of the whole band; null where nothing tells it. */
  roomAir: number | null;
  roomLevelDb: number | null;
  /** How loud others are beside the player, dBFS; null where nobody was heard. */
  othersDb: number | null;
  /** How fast it lets a sound sink, dB/s; null where it is dry. */
  roomDecayDbPerSecond: number | null;
}

/** Puts together what every item of a take is judged by. `foreign`: spans that are not the player. */
export function createJudgeContext(
  heard: FrameTrack,
  context: TakeContext,
  foreign: readonly NonPlayerSpan[],
): JudgeContext {
  const room = context.room ?? quietestRoom(heard);
  const score = scoreOf(context.exercise);
  const own = playersFrames(withoutTubeNoise(heard), score, context);
  const asksAir = score.some(({ item }) => item.kind === 'air');
  // What rings on is no silence: the room is told before that is taken away.
  const between = roomBetween(own.track, own.hasOthers, asksAir);
  const dry = withoutTails(own.track);
  const track = between === null ? dry.track : withoutRoomNoise(dry.track, between.noiseDb, own.hasOthers);
  // Air that others make is no air of the player's.
  const othersAir = own.hasOthers ? (between?.airDb ?? null) : null;
  return {
    track,
    context,
    foreign,
    masked: frameMask(track.count, foreign),
    score,
    written: score,
    secondsPerBeat: secondsPerBeat(context.exercise),
    tolerance: toleranceInRoom(TOLERANCES[context.toleranceId], dry.roomDecayDbPerSecond),
    roomAir: room && Math.max(room.airDb, othersAir ?? -Infinity),
    roomLevelDb: room?.levelDb ?? null,
    othersDb: own.othersDb,
    roomDecayDbPerSecond: dry.roomDecayDbPerSecond,
  };
}
