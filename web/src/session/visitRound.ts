import { afterRepeats, playedPhrases } from '@inner-hum/core/exercise';
import { readyAt, restEnd } from './beginning.ts';
import { afterTake, atPhrase, phraseOf } from './round.ts';
import { disarmed, reopen } from './visitInput.ts';
import type { VisitEffect, VisitState, VisitTake } from './visitState.ts';
import type { Moment } from './moment.ts';
import { after, type EventOf, type ExerciseState, type Step } from './visitStep.ts';
import { arm, start } from './visitTake.ts';

// A round: from phrase to phrase, and what the player may do to it.

export function begin(state: ExerciseState, _: EventOf<'begin'>, moment: Moment): Step {
  if (state.input === null) return reopen(state);
  // While it was paused nothing was ready, so that one could play what one liked.
  const [ready, effects] = state.take ? [state, []] : arm(state, moment, {});
  return after(effects, start(ready, null, moment));
}

export function takeEnded(
  state: ExerciseState,
  { takeId, analysis }: EventOf<'takeEnded'>,
  moment: Moment,
): Step {
  const { wants } = state;
  const ended: ExerciseState = { ...state, phase: 'resting', endedTakeId: takeId };
  if (wants.record === null) {
    const round = { ...wants, ended: wants.index };
    return after([{ do: 'stopBeat' }], arm({ ...ended, wants: round }, moment, { afterSilence: true }));
  }
  const { nowSeconds } = moment;
  const startSeconds = state.take?.startSeconds ?? nowSeconds;
  const { round, after: what } = afterTake(wants, analysis, { startSeconds, nowSeconds });
  const next: ExerciseState = { ...ended, wants: round };
  const effects: VisitEffect[] = [{ do: 'storeRound', record: wants.record }];
  if (what.kind === 'wait') return after(effects, pause(next));
  if (what.kind === 'over')
    return after([...effects, { do: 'stopBeat' }], arm(next, moment, { afterSilence: true }));
  if (wants.exercise.start !== 'countIn') effects.push({ do: 'stopBeat' });
  // Its share of the time is over: another note comes.
  if (wants.sinceSeconds !== null && round.sinceSeconds === null) effects.push({ do: 'cue' });
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

/** The phrase just played, once more. */
export function again(state: ExerciseState, _: EventOf<'again'>, moment: Moment): Step {
  return go(state, state.wants.ended ?? state.wants.index, moment);
}

export function skip(state: ExerciseState, _: EventOf<'skip'>, moment: Moment): Step {
  const { ended, index, exercise } = state.wants;
  const phrases = playedPhrases(exercise);
  // What is repeated for a time is one thing to skip.
  if (phrases.at(index)?.forSeconds !== undefined) return go(state, afterRepeats(phrases, index), moment);
  // While it rests the next one is up already.
  return go(state, ended === null || ended === index ? index + 1 : index, moment);
}

function go(state: ExerciseState, index: number, moment: Moment): Step {
  const wants = atPhrase(state.wants, index);
  if (state.input === null) return reopen({ ...state, wants });
  const [armed, effects] = arm({ ...state, phase: 'armed', wants }, moment, {});
  return after([{ do: 'stopBeat' }, ...effects], start(armed, null, moment));
}

export function pause(state: VisitState): Step {
  return [
    { ...state, phase: 'paused', take: null, restUntil: null },
    [{ do: 'stopBeat' }, { do: 'hush' }, ...disarmed(state)],
  ];
}
