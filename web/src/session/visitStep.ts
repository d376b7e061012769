import type { Exercise } from '@inner-hum/core/exercise';
import { phraseOf, type Round } from './round.ts';
import type { SessionSetup } from './setup.ts';
import type { VisitEffect, VisitEvent, VisitState } from './visitState.ts';
import type { Moment } from './moment.ts';

// What a step of the visit is, and what its deeds share.

export type Step = readonly [state: VisitState, effects: readonly VisitEffect[]];
export type EventOf<Type extends VisitEvent['type']> = Extract<VisitEvent, { type: Type }>;
export type Deed<Type extends VisitEvent['type'], State = VisitState> = (
  state: State,
  event: EventOf<Type>,
  moment: Moment,
) => Step;

export type AnyDeed = (state: VisitState, event: never, moment: Moment) => Step;

/** A state in which an exercise is wanted. */
export interface ExerciseState extends VisitState {
  setup: SessionSetup;
  wants: Round;
}

export function atExercise<Type extends VisitEvent['type']>(deed: Deed<Type, ExerciseState>): Deed<Type> {
  return (state, event, moment) => {
    const { setup, wants } = state;
    return setup && wants && wants !== 'free' ? deed({ ...state, setup, wants }, event, moment) : [state, []];
  };
}

export const exerciseOf = ({ wants }: VisitState): Exercise | null =>
  wants === null || wants === 'free' ? null : phraseOf(wants);

export const withEffects = ([state, effects]: Step, ...more: VisitEffect[]): Step => [
  state,
  [...effects, ...more],
];
export const after = (effects: readonly VisitEffect[], [state, more]: Step): Step => [
  state,
  [...effects, ...more],
];

export const startBeat = (
  setup: SessionSetup,
  exercise: Exercise | null,
  zeroSeconds: number,
  unlessRunning = false,
): VisitEffect => ({ do: 'startBeat', setup, exercise, zeroSeconds, unlessRunning });

/** A beat that is to be heard at once begins so much later. */
export const BEAT_LEAD_SECONDS = 0.1;
