import { changedWhileArmed, type SessionSetup } from './setup.ts';
import type { VisitState } from './visitState.ts';
import { after, exerciseOf, type EventOf, type Step } from './visitStep.ts';

// What may change at any time.

export function adjust(state: VisitState, { setup: next }: EventOf<'adjust'>): Step {
  if (!state.setup) return [state, []];
  const setup = changedWhileArmed(state.setup, next);
  const exercise = exerciseOf(state);
  return after(
    [
      { do: 'setMetre', setup, exercise },
      { do: 'drone', setup, exercise },
    ],
    droneHeard({ ...state, setup }),
  );
}

/** What is ready in the worker is told of the eyes, the scale and the drone. */
export function droneHeard(state: VisitState): Step {
  const { setup, input } = state;
  const isTold = setup !== null && input !== null && exerciseOf(state) !== null;
  return [state, isTold ? [{ do: 'adjust', setup }] : []];
}

export function setClick(state: VisitState, { click }: EventOf<'setClick'>): Step {
  return withSettings(state, { click }, 'setClick');
}

export function setTempo(state: VisitState, { tempoBpm }: EventOf<'setTempo'>): Step {
  return withSettings(state, { tempoBpm }, 'setTempo');
}

function withSettings(
  state: VisitState,
  change: Partial<SessionSetup['settings']>,
  what: 'setClick' | 'setTempo',
): Step {
  if (!state.setup) return [state, []];
  const setup = { ...state.setup, settings: { ...state.setup.settings, ...change } };
  return [{ ...state, setup }, [{ do: what, setup, exercise: exerciseOf(state) }]];
}
