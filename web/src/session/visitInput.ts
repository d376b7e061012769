import type { DeskInput } from '../audio/index.ts';
import { atPhrase, newRound, phraseOf } from './round.ts';
import { inputOf } from './setup.ts';
import { INPUT_TROUBLES } from './troubleGroups.ts';
import type { VisitEffect, VisitState } from './visitState.ts';
import type { Moment } from './moment.ts';
import { after, BEAT_LEAD_SECONDS, startBeat, withEffects, type EventOf, type Step } from './visitStep.ts';
import { arm } from './visitTake.ts';

// What a room wants, and the input it is heard by.

export function goFree(state: VisitState, { setup }: EventOf<'goFree'>, moment: Moment): Step {
  return want({ ...state, setup, wants: 'free' }, inputOf(setup), moment);
}

export function armExercise(
  state: VisitState,
  { setup, exercise, address }: EventOf<'arm'>,
  moment: Moment,
): Step {
  const wants = newRound(setup, exercise, address, moment);
  return want({ ...state, setup, wants }, inputOf(setup), moment);
}

/** What was played before is left. */
function want(before: VisitState, input: DeskInput, moment: Moment): Step {
  const state = { ...before, take: null, restUntil: null };
  const isOpen = state.input === input && state.opening === null;
  return after(
    [{ do: 'hush' }, { do: 'stopBeat' }],
    isOpen ? enter(state, moment) : open(state, input, false),
  );
}

/** Rooms follow each other faster than a microphone opens: one that is being opened is not asked for twice. */
function open(state: VisitState, input: DeskInput, lost: boolean): Step {
  const left: VisitState = { ...state, phase: 'opening', take: null, restUntil: null };
  if (state.opening?.input === input) return [left, []];
  const id = state.openings + 1;
  // Where it sounds, another input may have no way to still it.
  const isOther = state.input !== null && state.input !== input;
  return [
    { ...left, input: null, openings: id, opening: { id, input, lost } },
    [
      ...(isOther ? [{ do: 'stopDrone' } as const] : []),
      { do: 'tellNoLonger', troubles: INPUT_TROUBLES },
      { do: 'open', openingId: id, input },
    ],
  ];
}

/** On an open input: the free desk, or the present phrase made ready; nothing where the room was left. */
function enter(state: VisitState, moment: Moment): Step {
  const { setup, wants } = state;
  if (!setup || wants === null) return [{ ...state, phase: 'off' }, []];
  if (wants !== 'free') {
    const round = atPhrase(wants, wants.index);
    const ready = arm({ ...state, setup, wants: round, phase: 'armed' }, moment, { beat: true });
    return withEffects(ready, { do: 'drone', setup, exercise: phraseOf(round) });
  }
  const { source, click } = setup.settings;
  return withEffects(
    [{ ...state, phase: 'free' }, [{ do: 'disarm' }]],
    ...(click === 'off' ? [] : [startBeat(setup, null, moment.nowSeconds + BEAT_LEAD_SECONDS)]),
    { do: 'drone', setup, exercise: null },
    ...(source === 'standIn' ? [{ do: 'performFree', setup } as const] : []),
  );
}

export function opened(state: VisitState, _: EventOf<'opened'>, moment: Moment): Step {
  const { opening } = state;
  const open = { ...state, input: opening?.input ?? null, opening: null };
  if (state.phase === 'off') return [open, []];
  const entered = enter(open, moment);
  return opening?.lost ? withEffects(entered, { do: 'tell', trouble: 'micChanged' }) : entered;
}

export function notOpened(state: VisitState, { trouble }: EventOf<'notOpened'>): Step {
  const lost = state.opening?.lost ?? false;
  const closed: VisitState = { ...state, phase: 'off', input: null, opening: null };
  if (state.phase === 'off') return [closed, []];
  // That there is none, after it was pulled out, is no news of its own.
  const isNews = !lost || (trouble !== 'micAbsent' && trouble !== 'micBusy');
  return [
    closed,
    [
      ...(isNews ? [{ do: 'tell', trouble } as const] : []),
      ...(lost ? [{ do: 'tell', trouble: 'micUnplugged' } as const] : []),
    ],
  ];
}

/** The input is opened anew for what is wanted, if anything is; a round that has begun keeps its place. */
function openWanted(state: VisitState, lost: boolean): Step {
  const { setup, wants } = state;
  return setup && wants !== null ? open(state, inputOf(setup), lost) : [state, []];
}

export function reopen(state: VisitState): Step {
  return openWanted(state, false);
}

/** Nothing is open, and nothing of what was played goes on. */
const CLOSED = { phase: 'off', input: null, opening: null, take: null, restUntil: null } as const;

export function leave(state: VisitState): Step {
  return [
    { ...state, phase: 'off', wants: null, take: null, restUntil: null },
    [{ do: 'hush' }, { do: 'stopBeat' }, { do: 'stopDrone' }, ...disarmed(state)],
  ];
}

/** The worker is not woken for it where it has nothing to let go of. */
export const disarmed = ({ input, take }: VisitState): VisitEffect[] =>
  input === null && take === null ? [] : [{ do: 'disarm' }];

/** What was being played is kept; then whatever input there is now listens on. */
export function inputLost(state: VisitState): Step {
  const effects: VisitEffect[] = [{ do: 'hush' }, { do: 'stopBeat' }, { do: 'endTake' }];
  return after(effects, openWanted({ ...state, ...CLOSED }, true));
}

/** A worker that breaks oftener than this will break again. */
const MOST_REPLACED = 3;
const REPLACED_WITHIN_SECONDS = 60;

/** Another worker takes over, and finishes what this one was keeping. */
export function workerBroke(state: VisitState, _: EventOf<'workerBroke'>, { wallSeconds }: Moment): Step {
  const replacedAt = [
    ...state.replacedAt.filter((at) => wallSeconds - at < REPLACED_WITHIN_SECONDS),
    wallSeconds,
  ];
  const next: VisitState = { ...state, ...CLOSED, worker: state.worker + 1, replacedAt };
  const effects: VisitEffect[] = [{ do: 'hush' }, { do: 'stopBeat' }, { do: 'replaceWorker' }];
  if (replacedAt.length > MOST_REPLACED)
    return [{ ...next, phase: 'broken' }, [...effects, { do: 'tell', trouble: 'workerFailed' }]];
  return withEffects(
    after(effects, openWanted(next, false)),
    { do: 'tell', trouble: 'workerRestarted' },
    { do: 'finishTakes' },
  );
}
