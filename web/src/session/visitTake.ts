import { secondsPerBeat } from '@inner-hum/core/exercise';
import { countedZero, countZero, onGrid, simulatedLead } from './beginning.ts';
import { phraseOf, type Round } from './round.ts';
import { SOUND_TROUBLES } from './troubleGroups.ts';
import type { VisitEffect, VisitState, VisitTake } from './visitState.ts';
import type { Moment } from './moment.ts';
import { after, BEAT_LEAD_SECONDS, startBeat, withEffects } from './visitStep.ts';
import type { EventOf, ExerciseState, Step } from './visitStep.ts';

// A take: made ready, begun, heard, over.

/** Part of a counted take before beat 0: an early start must be seen. */
const TAKE_LEAD_BEATS = 1;

/** The present phrase made ready as a new take. `afterSilence`: a note that still sounds does not begin it. */
export function arm(
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

export function restOver(state: ExerciseState, _: EventOf<'restOver'>, moment: Moment): Step {
  return start(state, state.restUntil, moment);
}

/** Begins what is ready: its note is waited for, or a bar is counted. The simulated player's sound must be there first. */
export function start(state: ExerciseState, zeroSeconds: number | null, moment: Moment): Step {
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
  if (exercise.start !== 'countIn')
    return [
      going,
      [
        cleared,
        ...(setup.settings.click === 'off' || exercise.start === 'ownTime'
          ? []
          : [startBeat(setup, exercise, nowSeconds + BEAT_LEAD_SECONDS)]),
        ...perform(onGrid(nowSeconds)),
      ],
    ];
  const lead = isPerformed ? simulatedLead(setup.profile.responseMs) : 0;
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

export function rendered(state: ExerciseState, _: EventOf<'rendered'>, moment: Moment): Step {
  const { take } = state;
  if (take?.sound !== 'rendering') return [state, []];
  const ready: ExerciseState = { ...state, take: { ...take, sound: 'ready' } };
  return take.begins ? start(ready, take.begins.zeroSeconds, moment) : [ready, []];
}

/** The simulated player has played and no take came of it: it may be asked again. */
export function performedInVain(state: VisitState): Step {
  const take = state.take && { ...state.take, sound: 'none' as const };
  return [{ ...state, take }, [{ do: 'stopBeat' }, { do: 'tell', trouble: 'nothingHeard' }]];
}

export function takeBegun(
  state: ExerciseState,
  { startSeconds, beatZeroSeconds }: EventOf<'takeBegun'>,
): Step {
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

export function takeOver(state: VisitState): Step {
  const take = state.take && { ...state.take, sound: 'none' as const };
  return [{ ...state, phase: 'judging', take }, [{ do: 'hush' }]];
}

export function nothingHeard(state: ExerciseState, _: EventOf<'nothingHeard'>, moment: Moment): Step {
  const armed = arm({ ...state, phase: 'armed' }, moment, { afterSilence: true });
  return withEffects(after([{ do: 'stopBeat' }], armed), { do: 'tell', trouble: 'nothingHeard' });
}
