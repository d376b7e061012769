import { adjust, droneHeard, setClick, setTempo } from './visitSettings.ts';
import {
  armExercise,
  goFree,
  inputLost,
  leave,
  notOpened,
  opened,
  reopen,
  workerBroke,
} from './visitInput.ts';
import { again, begin, pause, skip, takeEnded } from './visitRound.ts';
import { VISIT_PHASES, type VisitEvent, type VisitPhase, type VisitState } from './visitState.ts';
import type { Moment } from './moment.ts';
import { atExercise, type AnyDeed, type Deed, type Step } from './visitStep.ts';
import { nothingHeard, performedInVain, rendered, restOver, takeBegun, takeOver } from './visitTake.ts';

// A visit to the Stand as a pure machine: what is said to it in a state gives the next state and what is to be done.
// RULES is the diagram; ARCHITECTURE.md prints it. What no rule names is no news in that phase.

export interface Rule {
  from: readonly VisitPhase[];
  on: VisitEvent['type'];
  /** Every phase it may lead to. */
  to: readonly VisitPhase[];
  deed: AnyDeed;
}

type Phases = VisitPhase | readonly VisitPhase[];

const rule = <Type extends VisitEvent['type']>(
  from: Phases,
  on: Type,
  to: Phases,
  deed: Deed<Type>,
): Rule => ({
  from: [from].flat() as VisitPhase[],
  on,
  to: [to].flat() as VisitPhase[],
  deed,
});

const ANY = VISIT_PHASES;
const SAME = VISIT_PHASES;
/** An exercise is ready or played. */
const AT_EXERCISE = ['armed', 'counting', 'playing', 'judging', 'resting', 'paused'] as const;

export const RULES: readonly Rule[] = [
  rule(ANY, 'goFree', ['opening', 'free'], goFree),
  rule(ANY, 'arm', ['opening', 'armed'], armExercise),
  rule(ANY, 'leave', 'off', leave),
  rule(ANY, 'inputLost', ['off', 'opening'], inputLost),
  rule(ANY, 'workerBroke', ['off', 'opening', 'broken'], workerBroke),

  rule(['off', 'broken'], 'begin', ['off', 'broken', 'opening'], reopen),
  rule(['off', 'opening'], 'opened', ['off', 'free', 'armed'], opened),
  rule(['off', 'opening'], 'notOpened', 'off', notOpened),

  rule(['armed', 'resting', 'paused'], 'begin', ['armed', 'counting', 'opening'], atExercise(begin)),
  rule('armed', 'rendered', ['armed', 'counting'], atExercise(rendered)),
  rule('resting', 'rendered', 'resting', atExercise(rendered)),
  rule('armed', 'performed', 'armed', performedInVain),
  rule(['armed', 'counting', 'resting'], 'takeBegun', 'playing', atExercise(takeBegun)),
  rule('playing', 'endTake', 'playing', (state) => [state, [{ do: 'endTake' }]]),
  rule('playing', 'takeOver', 'judging', takeOver),
  rule(['playing', 'judging'], 'takeEnded', ['resting', 'paused'], atExercise(takeEnded)),
  rule(['counting', 'playing', 'judging'], 'nothingHeard', 'armed', atExercise(nothingHeard)),
  rule('resting', 'restOver', ['armed', 'counting'], atExercise(restOver)),

  rule(AT_EXERCISE, 'again', ['armed', 'counting', 'opening'], atExercise(again)),
  rule(AT_EXERCISE, 'skip', ['armed', 'counting', 'opening'], atExercise(skip)),
  rule(AT_EXERCISE, 'pause', 'paused', pause),

  rule(ANY, 'adjust', SAME, adjust),
  rule(ANY, 'setClick', SAME, setClick),
  rule(ANY, 'setTempo', SAME, setTempo),
  rule(ANY, 'droneHeard', SAME, droneHeard),
  rule(ANY, 'forgetInput', SAME, (state) => [{ ...state, input: null, opening: null }, []]),
];

const TABLE = new Map(
  RULES.flatMap((each) => each.from.map((from) => [`${from} ${each.on}`, each] as const)),
);

/** The next state, and what is to be done. The same state and nothing where an event is no news. */
export function step(state: VisitState, event: VisitEvent, moment: Moment): Step {
  const deed = isOfAnother(state, event) ? undefined : TABLE.get(`${state.phase} ${event.type}`)?.deed;
  return deed ? deed(state, event as never, moment) : [state, []];
}

/** News of a take that was left, of an opening that was overtaken, of a worker that was replaced. */
function isOfAnother(state: VisitState, event: VisitEvent): boolean {
  if ('takeId' in event) return event.takeId !== state.take?.id;
  if ('openingId' in event) return event.openingId !== state.opening?.id;
  return event.type === 'workerBroke' && event.worker !== state.worker;
}
