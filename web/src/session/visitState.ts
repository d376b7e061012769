import type { Exercise } from '@inner-hum/core/exercise';
import type { TakeAnalysis } from '@inner-hum/core/judge';
import type { DeskInput } from '../audio/index.ts';
import type { RoundRecord, SettingsRecord } from '../storage/index.ts';
import type { Round } from './round.ts';
import type { SessionSetup } from './setup.ts';
import type { TroubleCode } from './troubleCode.ts';

/** Where a visit to the Stand is; `visitMachine.ts` says what leads from one to the other. */
export const VISIT_PHASES = [
  /** Nothing is heard. */
  'off',
  /** The input is being opened. */
  'opening',
  /** The desk as tuner and metronome. */
  'free',
  /** An exercise is ready: the next tone of its first note, or the player, begins a take. */
  'armed',
  /** The bar before a counted take. */
  'counting',
  /** A take is being recorded. */
  'playing',
  /** Its sound is over, its verdict is not there yet. */
  'judging',
  /** Its verdict is up; the next phrase comes by itself, by its note, or when the player says so. */
  'resting',
  /** Nothing begins until the player says so. */
  'paused',
  /** The listening broke again and again. */
  'broken',
] as const;
export type VisitPhase = (typeof VISIT_PHASES)[number];

/** The take that is ready, counted or played. What the worker says of any other is no news. */
export interface VisitTake {
  id: string;
  /** What the simulated player's sound for it is doing. */
  sound: 'none' | 'rendering' | 'ready' | 'sounding';
  /** The player, or the end of a rest, has begun it while its sound was still being rendered: beat 0 on the audio clock, or as soon as can be. */
  begins: { zeroSeconds: number | null } | null;
  /** Once it has begun: its first sample and beat 0 on the audio clock, in seconds. */
  startSeconds: number;
  beatZeroSeconds: number;
}

export interface VisitState {
  phase: VisitPhase;
  /** As the room that listens has it; null before there was one. */
  setup: SessionSetup | null;
  /** What the room wants: nothing, the free desk, or an exercise. */
  wants: null | 'free' | Round;
  /** What is open. */
  input: DeskInput | null;
  /** The opening that is waited for; `lost`: in place of an input that went away. */
  opening: { id: number; input: DeskInput; lost: boolean } | null;
  openings: number;
  take: VisitTake | null;
  /** Audio clock at which the rest is over; null where nothing begins by itself. */
  restUntil: number | null;
  /** The take whose verdict is, or was last, up. */
  endedTakeId: string | null;
  /** The simulated player is told another number every time, so that it never plays the same twice. */
  seed: number;
  /** Counts workers: what one that was replaced still says is no news. */
  worker: number;
  /** When workers were replaced, in seconds of the wall clock. */
  replacedAt: readonly number[];
}

/** What the player, a room, the input or the worker says. */
export type VisitEvent =
  | { type: 'goFree'; setup: SessionSetup }
  | { type: 'arm'; setup: SessionSetup; exercise: Exercise; address: string | null }
  /** The room is left: a running take ends and is kept, sounds stop, the input stays open. */
  | { type: 'leave' }
  /** The set-up changed in what may change while an exercise stands ready. */
  | { type: 'adjust'; setup: SessionSetup }
  | { type: 'setClick'; click: SettingsRecord['click'] }
  /** Of the free desk. */
  | { type: 'setTempo'; tempoBpm: number }
  /** Whether the microphone hears the drone is known, or known otherwise. */
  | { type: 'droneHeard' }
  | { type: 'begin' }
  | { type: 'again' }
  | { type: 'skip' }
  | { type: 'pause' }
  | { type: 'endTake' }
  /** The next opening asks the browser for the input anew. */
  | { type: 'forgetInput' }
  | { type: 'opened'; openingId: number }
  | { type: 'notOpened'; openingId: number; trouble: TroubleCode }
  /** The microphone went away under the player's hands. */
  | { type: 'inputLost' }
  | { type: 'rendered'; takeId: string }
  /** The simulated player's sound is over, whatever came of it. */
  | { type: 'performed'; takeId: string }
  | { type: 'restOver'; takeId: string }
  | { type: 'takeBegun'; takeId: string; startSeconds: number; beatZeroSeconds: number }
  | { type: 'takeOver'; takeId: string }
  | { type: 'takeEnded'; takeId: string; analysis: TakeAnalysis }
  | { type: 'nothingHeard'; takeId: string }
  | { type: 'workerBroke'; worker: number };

/** What the interpreter is to do. Each is done in order, at once; what takes its time answers by an event. */
export type VisitEffect =
  | { do: 'open'; openingId: number; input: DeskInput }
  | { do: 'replaceWorker' }
  /** Finishes takes that a worker left unfinished. */
  | { do: 'finishTakes' }
  /** Makes a phrase ready in the worker; `afterSilence`: a note that still sounds does not begin it. */
  | { do: 'arm'; setup: SessionSetup; takeId: string; round: Round; afterSilence: boolean }
  | { do: 'adjust'; setup: SessionSetup }
  /** Nothing begins any more; a running take ends and is kept. */
  | { do: 'disarm' }
  /** A running take ends and is judged. */
  | { do: 'endTake' }
  | { do: 'beginAt'; beatZeroSeconds: number; leadSeconds: number }
  | { do: 'render'; setup: SessionSetup; takeId: string; round: Round; seed: number }
  | { do: 'perform'; takeId: string; atSeconds: number }
  | { do: 'performFree'; setup: SessionSetup }
  /** The simulated player and reference tones fall silent. */
  | { do: 'hush' }
  /** Reference tones of a counted take, on its beats. */
  | { do: 'refer'; setup: SessionSetup; exercise: Exercise; beatZeroSeconds: number }
  | {
      do: 'startBeat';
      setup: SessionSetup;
      exercise: Exercise | null;
      zeroSeconds: number;
      unlessRunning: boolean;
    }
  | { do: 'setMetre' | 'setClick' | 'setTempo'; setup: SessionSetup; exercise: Exercise | null }
  | { do: 'stopBeat' }
  | { do: 'drone'; setup: SessionSetup; exercise: Exercise | null }
  | { do: 'stopDrone' }
  /** A quiet sign that something else comes next. */
  | { do: 'cue' }
  | { do: 'restUntil'; takeId: string; atSeconds: number }
  | { do: 'storeRound'; record: RoundRecord }
  | { do: 'tell'; trouble: TroubleCode }
  | { do: 'tellNoLonger'; troubles: readonly TroubleCode[] };

export const FIRST_STATE: VisitState = {
  phase: 'off',
  setup: null,
  wants: null,
  input: null,
  opening: null,
  openings: 0,
  take: null,
  restUntil: null,
  endedTakeId: null,
  seed: 1,
  worker: 0,
  replacedAt: [],
};
