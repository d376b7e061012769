import { secondsPerBeat, type Exercise } from '@inner-hum/core/exercise';
import type { DeskInput } from '../audio/index.ts';
import { countedZero, countZero, onGrid, readyAt, restEnd, standInLead } from './beginning.ts';
import { afterTake, atPhrase, newRound, phraseOf, type Round } from './round.ts';
import { changedWhileArmed, inputOf, type SessionSetup } from './setup.ts';
import { INPUT_TROUBLES, SOUND_TROUBLES } from './troubleGroups.ts';
import { VISIT_PHASES, type Moment, type VisitEffect, type VisitEvent } from './visitState.ts';
import type { VisitPhase, VisitState, VisitTake } from './visitState.ts';

// A visit to the Stand as a pure machine: what is said to it in a state gives the next state and what is to be done.
// RULES is the diagram; ARCHITECTURE.md prints it. What no rule names is no news in that phase.

type Step = readonly [state: VisitState, effects: readonly VisitEffect[]];
type EventOf<Type extends VisitEvent['type']> = Extract<VisitEvent, { type: Type }>;
type Deed<Type extends VisitEvent['type'], State = VisitState> = (
  state: State,
  event: EventOf<Type>,
  moment: Moment,
) => Step;

type AnyDeed = (state: VisitState, event: never, moment: Moment) => Step;

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

/** A state in which an exercise is wanted. */
interface ExerciseState extends VisitState {
  setup: SessionSetup;
  wants: Round;
}

function atExercise<Type extends VisitEvent['type']>(deed: Deed<Type, ExerciseState>): Deed<Type> {
  return (state, event, moment) => {
    const { setup, wants } = state;
    return setup && wants && wants !== 'free' ? deed({ ...state, setup, wants }, event, moment) : [state, []];
  };
}

const exerciseOf = ({ wants }: VisitState): Exercise | null =>
  wants === null || wants === 'free' ? null : phraseOf(wants);

const withEffects = ([state, effects]: Step, ...more: VisitEffect[]): Step => [state, [...effects, ...more]];
const after = (effects: readonly VisitEffect[], [state, more]: Step): Step => [state, [...effects, ...more]];

// What a room wants, and the input it is heard by.

function goFree(state: VisitState, { setup }: EventOf<'goFree'>, moment: Moment): Step {
  return want({ ...state, setup, wants: 'free' }, inputOf(setup), moment);
}

function armExercise(state: VisitState, { setup, exercise, address }: EventOf<'arm'>, moment: Moment): Step {
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

function opened(state: VisitState, _: EventOf<'opened'>, moment: Moment): Step {
  const { opening } = state;
  const open = { ...state, input: opening?.input ?? null, opening: null };
  if (state.phase === 'off') return [open, []];
  const entered = enter(open, moment);
  return opening?.lost ? withEffects(entered, { do: 'tell', trouble: 'micChanged' }) : entered;
}

function notOpened(state: VisitState, { trouble }: EventOf<'notOpened'>): Step {
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

function reopen(state: VisitState): Step {
  return openWanted(state, false);
}

/** Nothing is open, and nothing of what was played goes on. */
const CLOSED = { phase: 'off', input: null, opening: null, take: null, restUntil: null } as const;

function leave(state: VisitState): Step {
  return [
    { ...state, phase: 'off', wants: null, take: null, restUntil: null },
    [{ do: 'hush' }, { do: 'stopBeat' }, { do: 'stopDrone' }, ...disarmed(state)],
  ];
}

/** The worker is not woken for it where it has nothing to let go of. */
const disarmed = ({ input, take }: VisitState): VisitEffect[] =>
  input === null && take === null ? [] : [{ do: 'disarm' }];

/** What was being played is kept; then whatever input there is now listens on. */
function inputLost(state: VisitState): Step {
  const effects: VisitEffect[] = [{ do: 'hush' }, { do: 'stopBeat' }, { do: 'endTake' }];
  return after(effects, openWanted({ ...state, ...CLOSED }, true));
}

/** A worker that breaks oftener than this will break again. */
const MOST_REPLACED = 3;
const REPLACED_WITHIN_SECONDS = 60;

/** Another worker takes over, and finishes what this one was keeping. */
function workerBroke(state: VisitState, _: EventOf<'workerBroke'>, { wallSeconds }: Moment): Step {
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

// A take: made ready, begun, heard, over.

const BEAT_LEAD_SECONDS = 0.1;
/** Part of a counted take before beat 0: an early start must be seen. */
const TAKE_LEAD_BEATS = 1;

const startBeat = (
  setup: SessionSetup,
  exercise: Exercise | null,
  zeroSeconds: number,
  unlessRunning = false,
): VisitEffect => ({ do: 'startBeat', setup, exercise, zeroSeconds, unlessRunning });

/** The present phrase made ready as a new take. `afterSilence`: a note that still sounds does not begin it. */
function arm(
  state: ExerciseState,
  { takeId, nowSeconds }: Moment,
  { beat = false, afterSilence = false },
): readonly [ExerciseState & { take: VisitTake }, readonly VisitEffect[]] {
  const { setup, wants: round } = state;
  const take: VisitTake = { id: takeId, sound: 'none', begins: null, startSeconds: 0, beatZeroSeconds: 0 };
  const exercise = phraseOf(round);
  const runs = beat && exercise.start === 'playToStart' && setup.settings.click !== 'off';
  return [
    { ...state, take, restUntil: null },
    [
      { do: 'hush' },
      { do: 'arm', setup, takeId, round, afterSilence },
      ...(runs ? [startBeat(setup, exercise, nowSeconds + BEAT_LEAD_SECONDS, true)] : []),
    ],
  ];
}

function begin(state: ExerciseState, _: EventOf<'begin'>, moment: Moment): Step {
  if (state.input === null) return reopen(state);
  // While it was paused nothing was ready, so that one could play what one liked.
  const [ready, effects] = state.take ? [state, []] : arm(state, moment, {});
  return after(effects, start(ready, null, moment));
}

function restOver(state: ExerciseState, _: EventOf<'restOver'>, moment: Moment): Step {
  return start(state, state.restUntil, moment);
}

/** Begins what is ready: its note is waited for, or a bar is counted. The simulated player's sound must be there first. */
function start(state: ExerciseState, zeroSeconds: number | null, moment: Moment): Step {
  const { setup, take, seed } = state;
  if (!take || take.sound === 'sounding') return [state, []];
  const wants: Round = { ...state.wants, ended: null, over: false };
  const next: ExerciseState = { ...state, phase: 'armed', wants, restUntil: null };
  if (setup.settings.source !== 'standIn' || take.sound === 'ready')
    return sound({ ...next, take: { ...take, begins: null } }, zeroSeconds, moment);
  const waiting: VisitState = { ...next, take: { ...take, sound: 'rendering', begins: { zeroSeconds } } };
  if (take.sound === 'rendering') return [waiting, []];
  return [{ ...waiting, seed: seed + 1 }, [{ do: 'render', setup, takeId: take.id, round: wants, seed }]];
}

function sound(state: ExerciseState, zeroSeconds: number | null, { nowSeconds }: Moment): Step {
  const { setup, take, wants } = state;
  if (!take) return [state, []];
  const exercise = phraseOf(wants);
  const isPerformed = setup.settings.source === 'standIn';
  const perform = (atSeconds: number): VisitEffect[] =>
    isPerformed ? [{ do: 'perform', takeId: take.id, atSeconds }] : [];
  const going: VisitState = { ...state, take: { ...take, sound: isPerformed ? 'sounding' : take.sound } };
  const cleared: VisitEffect = { do: 'tellNoLonger', troubles: SOUND_TROUBLES };
  if (exercise.start === 'playToStart')
    return [
      going,
      [
        cleared,
        ...(setup.settings.click === 'off'
          ? []
          : [startBeat(setup, exercise, nowSeconds + BEAT_LEAD_SECONDS)]),
        ...perform(onGrid(nowSeconds)),
      ],
    ];
  const lead = isPerformed ? standInLead(setup.profile.responseMs) : 0;
  const counted = countedZero(exercise, nowSeconds, lead, zeroSeconds);
  const beatZeroSeconds = isPerformed ? onGrid(counted) : counted;
  return [
    { ...going, phase: 'counting' },
    [
      cleared,
      startBeat(setup, exercise, countZero(exercise, beatZeroSeconds)),
      { do: 'beginAt', beatZeroSeconds, leadSeconds: TAKE_LEAD_BEATS * secondsPerBeat(exercise) },
      { do: 'refer', setup, exercise, beatZeroSeconds },
      ...perform(beatZeroSeconds - lead),
    ],
  ];
}

function rendered(state: ExerciseState, _: EventOf<'rendered'>, moment: Moment): Step {
  const { take } = state;
  if (take?.sound !== 'rendering') return [state, []];
  const ready: ExerciseState = { ...state, take: { ...take, sound: 'ready' } };
  return take.begins ? start(ready, take.begins.zeroSeconds, moment) : [ready, []];
}

/** The simulated player has played and no take came of it: it may be asked again. */
function performedInVain(state: VisitState): Step {
  const take = state.take && { ...state.take, sound: 'none' as const };
  return [{ ...state, take }, [{ do: 'stopBeat' }, { do: 'tell', trouble: 'nothingHeard' }]];
}

function takeBegun(state: ExerciseState, { startSeconds, beatZeroSeconds }: EventOf<'takeBegun'>): Step {
  const { setup, take, wants } = state;
  if (!take) return [state, []];
  const exercise = phraseOf(wants);
  return [
    {
      ...state,
      phase: 'playing',
      restUntil: null,
      wants: { ...wants, ended: null, over: false },
      take: { ...take, startSeconds, beatZeroSeconds },
    },
    [
      { do: 'tellNoLonger', troubles: SOUND_TROUBLES },
      // Playing to start: the beat joins the player. What is heard now left the speaker a round trip ago.
      ...(exercise.start === 'playToStart'
        ? [startBeat(setup, exercise, beatZeroSeconds - (setup.roundTripSeconds ?? 0))]
        : []),
    ],
  ];
}

function takeOver(state: VisitState): Step {
  const take = state.take && { ...state.take, sound: 'none' as const };
  return [{ ...state, phase: 'judging', take }, [{ do: 'hush' }]];
}

function takeEnded(state: ExerciseState, { takeId, analysis }: EventOf<'takeEnded'>, moment: Moment): Step {
  const { wants } = state;
  const ended: ExerciseState = { ...state, phase: 'resting', endedTakeId: takeId };
  if (wants.record === null) {
    const round = { ...wants, ended: wants.index };
    return after([{ do: 'stopBeat' }], arm({ ...ended, wants: round }, moment, { afterSilence: true }));
  }
  const { round, after: what } = afterTake(wants, analysis);
  const next: ExerciseState = { ...ended, wants: round };
  const effects: VisitEffect[] = [{ do: 'storeRound', record: wants.record }];
  if (what.kind === 'wait') return after(effects, pause(next));
  if (what.kind === 'over')
    return after([...effects, { do: 'stopBeat' }], arm(next, moment, { afterSilence: true }));
  if (wants.exercise.start !== 'countIn') effects.push({ do: 'stopBeat' });
  return after(effects, rest(next, what.seconds, analysis.events, state.take, moment));
}

/** Rests for so many seconds after the tone ended, then goes on by itself: counted on the beat of before, or when the note comes. */
function rest(
  state: ExerciseState,
  seconds: number,
  events: EventOf<'takeEnded'>['analysis']['events'],
  played: VisitTake | null,
  moment: Moment,
): Step {
  const { setup } = state;
  const exercise = phraseOf(state.wants);
  const end = events.findLast(({ type }) => type === 'end')?.timeSeconds;
  const endSeconds = end === undefined || !played ? moment.nowSeconds : played.startSeconds + end;
  const zero = (played?.beatZeroSeconds ?? 0) - (setup.roundTripSeconds ?? 0);
  const restUntil = restEnd(exercise, moment.nowSeconds, endSeconds + seconds, zero);
  const [armed, effects] = arm(state, moment, { beat: true, afterSilence: true });
  const { take, seed } = armed;
  const goesOn: VisitEffect[] = [
    { do: 'restUntil', takeId: take.id, atSeconds: readyAt(exercise, restUntil) },
  ];
  if (setup.settings.source !== 'standIn') return [{ ...armed, restUntil }, [...effects, ...goesOn]];
  // Rendered ahead, so that it is never late.
  return [
    { ...armed, restUntil, seed: seed + 1, take: { ...take, sound: 'rendering' } },
    [...effects, { do: 'render', setup, takeId: take.id, round: armed.wants, seed }, ...goesOn],
  ];
}

function nothingHeard(state: ExerciseState, _: EventOf<'nothingHeard'>, moment: Moment): Step {
  const armed = arm({ ...state, phase: 'armed' }, moment, { afterSilence: true });
  return withEffects(after([{ do: 'stopBeat' }], armed), { do: 'tell', trouble: 'nothingHeard' });
}

// What the player may do to a round.

/** The phrase just played, once more. */
function again(state: ExerciseState, _: EventOf<'again'>, moment: Moment): Step {
  return go(state, state.wants.ended ?? state.wants.index, moment);
}

function skip(state: ExerciseState, _: EventOf<'skip'>, moment: Moment): Step {
  const { ended, index } = state.wants;
  // While it rests the next one is up already.
  return go(state, ended === null || ended === index ? index + 1 : index, moment);
}

function go(state: ExerciseState, index: number, moment: Moment): Step {
  const wants = atPhrase(state.wants, index);
  if (state.input === null) return reopen({ ...state, wants });
  const [armed, effects] = arm({ ...state, phase: 'armed', wants }, moment, {});
  return after([{ do: 'stopBeat' }, ...effects], start(armed, null, moment));
}

function pause(state: VisitState): Step {
  return [
    { ...state, phase: 'paused', take: null, restUntil: null },
    [{ do: 'stopBeat' }, { do: 'hush' }, ...disarmed(state)],
  ];
}

// What may change at any time.

function adjust(state: VisitState, { setup: next }: EventOf<'adjust'>): Step {
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
function droneHeard(state: VisitState): Step {
  const { setup, input } = state;
  const isTold = setup !== null && input !== null && exerciseOf(state) !== null;
  return [state, isTold ? [{ do: 'adjust', setup }] : []];
}

function setClick(state: VisitState, { click }: EventOf<'setClick'>): Step {
  return withSettings(state, { click }, 'setClick');
}

function setTempo(state: VisitState, { tempoBpm }: EventOf<'setTempo'>): Step {
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
