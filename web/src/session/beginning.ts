import { secondsPerBeat, type Exercise } from '@inner-hum/core/exercise';

/** Before a counted bar there must be time to make ready. */
const READY_SECONDS = 0.4;
/** From now to the first click that can still be scheduled. */
const COUNT_LEAD_SECONDS = 0.15;
/** The simulated player's sound has so much silence before its air. */
const STAND_IN_LEAD_SECONDS = 1;
/** What is simulated begins on a frame of the listener, so that the same sound gives the same frames whenever it is played. */
const GRID_PER_SECOND = 100;

/** The next moment from `seconds` on at which a simulated sound may begin. */
export const onGrid = (seconds: number): number =>
  Math.ceil(seconds * GRID_PER_SECOND - 1e-6) / GRID_PER_SECOND;

const barSeconds = (exercise: Exercise) => exercise.beatsPerBar * secondsPerBeat(exercise);

/** How long before beat 0 the sound of the simulated player begins, which takes `responseMs` of air for its tone. */
export const simulatedLead = (responseMs: number): number => STAND_IN_LEAD_SECONDS + responseMs / 1000;

/** Beat 0 of a counted take on the audio clock. A bar that can no longer be counted in time is counted one bar later. */
export function countedZero(
  exercise: Exercise,
  nowSeconds: number,
  leadSeconds: number,
  wantedSeconds: number | null,
): number {
  const bar = barSeconds(exercise);
  const soonest = nowSeconds + COUNT_LEAD_SECONDS + Math.max(bar, leadSeconds);
  const wanted = wantedSeconds ?? soonest;
  return wanted + Math.max(0, Math.ceil((soonest - wanted) / bar - 1e-6)) * bar;
}

/**
 * When the rest is over: for a counted phrase its beat 0, on the bars of the phrase before, whose beat 0 left the speaker
 * at `beatZeroSeconds`, so that the beat runs through; else the moment from which on the note is waited for.
 */
export function restEnd(
  exercise: Exercise,
  nowSeconds: number,
  earliestSeconds: number,
  beatZeroSeconds: number,
): number {
  const until = Math.max(nowSeconds, earliestSeconds);
  if (exercise.start !== 'countIn') return until;
  const bar = barSeconds(exercise);
  const soonest = Math.max(until, nowSeconds + bar + READY_SECONDS);
  return beatZeroSeconds + Math.ceil((soonest - beatZeroSeconds) / bar - 1e-6) * bar;
}

/** When the beginning of a phrase is to be made ready, whose rest is over at `untilSeconds`. */
export const readyAt = (exercise: Exercise, untilSeconds: number): number =>
  exercise.start === 'countIn' ? untilSeconds - barSeconds(exercise) - READY_SECONDS : untilSeconds;

/** Beat 0 of the metronome for a counted take: a bar before. */
export const countZero = (exercise: Exercise, beatZeroSeconds: number): number =>
  beatZeroSeconds - barSeconds(exercise);
