import type { TakeContext, TakeAnalysis } from '@inner-hum/core/judge';
import type { FrameColumns } from '@inner-hum/core/hearing';
import type { ExerciseRequest } from '@inner-hum/core/simulated';
import type { DynamicScale } from '@inner-hum/core/exercise';
import type { SoundTrouble } from '@inner-hum/core/tone';
import type { HornId } from '@inner-hum/core/horn';
import type { Gear, WholeTake } from '../storage/index.ts';

/** What comes from an input: `samples` begin at `startFrame` of the audio clock. */
export interface CapturedBlock {
  startFrame: number;
  samples: Float32Array<ArrayBuffer>;
  /** Whoever sends waits until this was heard and is kept. */
  answer?: boolean;
}

export type InputSource = 'microphone' | 'standIn';

/** What makes a take out of playing; everything it will be judged by, and how it was played. */
export interface ArmRequest {
  /** What the take will be called. Everything said of it carries this. */
  takeId: string;
  /** A note that still sounds belongs to the take before and does not begin this one. */
  afterSilence: boolean;
  context: Omit<TakeContext, 'beatZeroSeconds'>;
  gear: Gear;
  source: InputSource;
  eyes: 'watch' | 'blind';
  /** Sound leaves and comes back this much later; 0 where it was never measured. */
  roundTripSeconds: number;
  /** The round it belongs to and which phrase of it this is. */
  roundId: string | null;
  phrase: number;
  /** How loud a drone is at the microphone; `Infinity` until that is known, null where none is heard. */
  droneLeakDb: number | null;
}

/** What may change while a take is ready or played. */
export interface ArmChange {
  eyes: 'watch' | 'blind';
  scale: DynamicScale;
  /** How loud a drone is at the microphone; `Infinity` until that is known, null where none is heard. */
  droneLeakDb: number | null;
}

export interface FreeRequest {
  hornId: HornId;
  gear: Gear;
  a4Hz: number;
  scale: DynamicScale;
  source: InputSource;
}

/** Troubles of the sound itself, seen by the worker; `lostSound`: the machine was too busy to hear. */
export type LiveTrouble = SoundTrouble | 'lostSound';

/** A take that could not be stored comes to the page whole, to be saved as a file. */
export type SessionEvent =
  /** A new row of frames begins, with a take unless `takeId` is null; `startSeconds` is its time 0 on the audio clock, beat 0 is on the take's own. */
  | { type: 'segment'; startSeconds: number; takeId: string | null; beatZeroSeconds: number | null }
  | { type: 'frames'; columns: FrameColumns }
  /** The sound of a take is over; it is being judged. */
  | { type: 'takeOver'; takeId: string }
  | { type: 'takeEnded'; takeId: string; analysis: TakeAnalysis }
  /** A take began, and no tone came. */
  | { type: 'nothingHeard'; takeId: string }
  | { type: 'trouble'; trouble: LiveTrouble }
  | { type: 'storageTrouble'; full: boolean }
  | { type: 'takeUnsaved'; take: WholeTake }
  | { type: 'workerFailed'; message: string };

/** What the simulated player is to play; silence around it is the worker's. */
export type SimulatedRequest = Omit<ExerciseRequest, 'leadSeconds' | 'tailSeconds'>;

/** Sound and frames begin together. */
export interface HeardSimulated {
  samples: Float32Array<ArrayBuffer>;
  columns: FrameColumns;
}

/** The worker's calls. Everything that streams goes by ports and `SessionEvent`s instead. */
export interface SessionWorker {
  /** Starts listening to blocks from `capture`; events go to `events`. */
  attach(capture: MessagePort, events: MessagePort, sampleRateHz: number): void;
  arm(request: ArmRequest): void;
  adjust(change: ArmChange): void;
  /** A counted take: beat 0 comes at this time of the audio clock. */
  beginAt(beatZeroSeconds: number, leadSeconds: number): void;
  disarm(): Promise<void>;
  /** Ends the running take now, as silence would. */
  endTake(): Promise<void>;
  /** Clicks scheduled, in seconds of the audio clock. */
  noteClicks(times: number[]): void;
  /** Delay in seconds of each click found near its due time (audio clock) in what was just heard. */
  clickDelays(due: number[]): number[];
  /** How loud a sounding drone of these partials is at the microphone, beside the room, in dBFS; null while too little was heard. */
  droneLeak(partialsHz: number[]): number | null;
  keepLastMinute(request: FreeRequest): Promise<string | null>;
  recover(takeId: string): Promise<void>;
  renderSimulated(request: SimulatedRequest): Float32Array<ArrayBuffer>;
  /** A simulated player performance without silence around it, and what the listener hears in it. */
  hearSimulated(request: SimulatedRequest): HeardSimulated;
  renderFreePlaying(request: Omit<SimulatedRequest, 'exercise'>): Float32Array<ArrayBuffer>;
}
