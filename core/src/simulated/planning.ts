import type { TimedItem } from '../exercise/index.ts';
import type { ItemFault } from './faults.ts';
import type { SimulatedAir } from './playAir.ts';
import type { SimulatedSquawk } from './playSquawk.ts';
import type { ExerciseRequest } from './exerciseRequest.ts';
import type { SimulatedJump } from './profile.ts';
import type { SimulatedSlur } from './slur.ts';
import type { ItemTruth } from './truth.ts';

/** Air through the horn, and breath drawn, beside the softest tone. */
const AIR_OVER_FLOOR_DB = 4;
/** One unbroken tone, maybe over several slurred notes. Times in seconds from beat 0. */
export interface PlannedTone {
  startSeconds: number;
  endSeconds: number;
  soundingHz: number;
  partial: number;
  cents: number;
  /** Intended level by beat from the tone's onset. */
  levelDbAtBeat(beat: number): number;
  turnBeat: number | null;
  slurs: SimulatedSlur[];
  jumps: SimulatedJump[];
  responseMs: number;
  peakLateBeats: number | null;
  /** Cents off the note by seconds from the tone's onset, where it is bent or swings. */
  bendCents: ((seconds: number) => number | null) | null;
  /** Where the colour lies, 0 dark - 1 bright, by seconds from the onset; null: as the loudness has it. */
  colourAt: ((seconds: number) => number | null) | null;
  /** Breath against tone in dB, by seconds from the onset; null: as the loudness has it. */
  breathDbAt: ((seconds: number) => number | null) | null;
}

/** What a plan is made of while it is made. */
export interface Planning {
  request: PlanRequest;
  score: readonly TimedItem[];
  secondsPerBeat: number;
  tones: PlannedTone[];
  airs: SimulatedAir[];
  squawks: SimulatedSquawk[];
}

export type PlanRequest = ExerciseRequest & { faults: readonly ItemFault[] };

export const MISSED: ItemTruth = { played: 'missed', onsetSeconds: null, endSeconds: null, slurMs: null };
const BREATH_SECONDS = 0.45;
/** Level of bare air and of breaths, in dBFS. */
export const airDb = ({ request: { scale } }: Planning) => scale.floorDb + AIR_OVER_FLOOR_DB;

/** A breath is drawn from a moment on. */
export function planBreath(planning: Planning, startSeconds: number): void {
  planning.airs.push({ startSeconds, endSeconds: startSeconds + BREATH_SECONDS, levelDb: airDb(planning) });
}

/** Adds a tone; what it is made of comes after. */
export function newTone(
  { tones, request: { scale } }: Planning,
  startSeconds: number,
  endSeconds: number,
): PlannedTone {
  const tone: PlannedTone = {
    startSeconds,
    endSeconds,
    soundingHz: 0,
    partial: 1,
    cents: 0,
    levelDbAtBeat: () => scale.floorDb,
    turnBeat: null,
    slurs: [],
    jumps: [],
    responseMs: 0,
    peakLateBeats: null,
    bendCents: null,
    colourAt: null,
    breathDbAt: null,
  };
  tones.push(tone);
  return tone;
}
