import type { Exercise } from '@inner-hum/core/exercise';
import type { FrameTrack } from '@inner-hum/core/hearing';
import type { LiveFollower } from '@inner-hum/core/tone';
import type { Desk, Metronome } from '../audio/index.ts';
import type { HeardSimulated, SimulatedRequest } from '../workers/index.ts';
import type { WholeTake } from '../storage/index.ts';
import type { Countdowns } from './countdowns.ts';
import type { SessionSetup } from './setup.ts';

/** The frames being heard now. Read by painters frame by frame; never copied into React or the store. */
export interface LiveSound {
  track: FrameTrack;
  /** Time 0 of the frames on the audio clock. */
  startSeconds: number;
  takeId: string | null;
  /** Beat 0 on the frames' clock while a take runs. */
  beatZeroSeconds: number | null;
  /** Frames that belong to the take that has ended; null while it runs. */
  takeFrames: number | null;
  /** In the player's own time: where in the running take the player is. */
  follower: LiveFollower | null;
}

export interface SessionController {
  readonly live: LiveSound;
  readonly desk: Desk;
  readonly metronome: Metronome;
  /** The next opening asks the browser for the input anew. */
  forgetInput(): void;
  /** The desk as tuner and metronome. */
  goFree(setup: SessionSetup): void;
  /** A room of the Stand is left: a running take ends and is kept, sounds stop, the input stays open. */
  leave(): void;
  /** Makes an exercise ready: the note begins it, or `begin` counts in. `address` is where its round is played again; null: it is no round. */
  arm(setup: SessionSetup, exercise: Exercise, address: string | null): void;
  /** What may change while armed: eyes, beat, drone, and the scale learned from the last takes. */
  adjust(setup: SessionSetup): void;
  /** Begins, or goes on after a pause. */
  begin(): void;
  /** The phrase just played, once more. */
  again(): void;
  skip(): void;
  /** Ends what is played and waits. */
  pause(): void;
  endTake(): void;
  setClick(click: SessionSetup['settings']['click']): void;
  setTempo(tempoBpm: number): void;
  keepLastMinute(): Promise<void>;
  /** Round-trip delays of clicks that were due at these times. */
  clickDelays(due: number[]): Promise<number[]>;
  /** Counts seconds of the desk's clock down to something a room does by itself; the answer ends it early. */
  countDown: Countdowns['start'];
  /** How the listener hears a simulated performance, without keeping it. */
  hearSimulated(request: SimulatedRequest): Promise<HeardSimulated>;
  /** Takes of this visit that could not be stored and are not saved as files yet. */
  readonly unsaved: WholeTake[];
}
