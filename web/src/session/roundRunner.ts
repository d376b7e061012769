import {
  phraseBeats,
  phraseExercise,
  playedPhrases,
  restAfter,
  restBeats,
  secondsPerBeat,
  type Exercise,
} from '@inner-hum/core/exercise';
import type { TakeAnalysis } from '@inner-hum/core/judge';
import type { Dispatch } from '@reduxjs/toolkit';
import type { AudioDesk, Metronome } from '../audio/index.ts';
import type { RoundRecord } from '../storage/index.ts';
import { phaseChanged, roundChanged, troubleCame } from './sessionSlice.ts';
import type { LiveSound } from './sessionTypes.ts';
import type { SessionSetup } from './setup.ts';
import { pulledIn } from './pulledIn.ts';
import type { TakeRunner } from './takeRunner.ts';

/** Before a counted bar there must be time to make ready. */
const READY_SECONDS = 0.4;
/** A phrase that breaks is tried so often before the round moves on. */
const MOST_TRIES = 3;

interface RoundRunnerConfig {
  takes: TakeRunner;
  desk: AudioDesk;
  metronome: Metronome;
  live: LiveSound;
  dispatch: Dispatch;
  setup(): SessionSetup | null;
  storeRound(round: RoundRecord): Promise<void>;
}

/** Goes through an exercise phrase by phrase: rests, the next by itself, again, skip, pause. */
export interface RoundRunner {
  readonly exercise: Exercise | null;
  /** The phrase that is armed or played, as an exercise. */
  phrase(): Exercise | null;
  load(exercise: Exercise, address: string): Promise<void>;
  begin(): Promise<void>;
  /** A take has begun, maybe before the rest was over. */
  began(): void;
  /** The running take has ended, or nothing came (null). */
  over(analysis: TakeAnalysis | null, takeId: string | null): void;
  /** The input was opened anew: the present phrase is ready again. */
  resume(): Promise<void>;
  again(): Promise<void>;
  skip(): Promise<void>;
  pause(): void;
  unload(): void;
}

export function createRoundRunner(config: RoundRunnerConfig): RoundRunner {
  const { takes, desk, metronome, live, dispatch } = config;
  let exercise: Exercise | null = null;
  let record: RoundRecord | null = null;
  let index = 0;
  let count = 0;
  let tries = 0;
  /** The phrase that was played last, while nothing is played. */
  let ended: number | null = null;
  let paused = false;
  let timer: ReturnType<typeof setTimeout> | null = null;
  /** Counts what was decided: a rest that was overtaken must not begin anything. */
  let decision = 0;

  const phraseNow = () => exercise && phraseExercise(exercise, index);
  const stopWaiting = () => {
    if (timer) clearTimeout(timer);
    timer = null;
    decision++;
  };
  const at = (audioSeconds: number, work: () => void) => {
    stopWaiting();
    timer = setTimeout(work, Math.max(0, 1000 * (audioSeconds - desk.now())));
  };

  async function arm() {
    const setup = config.setup();
    const phrase = phraseNow();
    if (!setup || !phrase) return;
    const pulledMm = index > 0 && record ? pulledIn(record) : 0;
    await takes.arm(setup, { exercise: phrase, roundId: record?.id ?? null, phrase: index, pulledMm });
  }

  async function begin(zeroSeconds?: number) {
    stopWaiting();
    const setup = config.setup();
    if (!setup) return;
    // While it was paused nothing was armed, so that one could play what one liked.
    if (paused) await arm();
    paused = false;
    ended = null;
    dispatch(roundChanged({ index, restUntil: null, paused: false, over: false }));
    await takes.begin(setup, zeroSeconds);
  }

  /**
   * Rests for so many seconds after the tone ended, then goes on by itself: counted on the beat of before, or when the
   * note comes.
   */
  async function rest(seconds: number, endSeconds: number) {
    const setup = config.setup();
    const phrase = phraseNow();
    if (!setup || !phrase) return;
    const beat = secondsPerBeat(phrase);
    const bar = phrase.beatsPerBar * beat;
    let until = Math.max(desk.now(), endSeconds + seconds);
    if (phrase.start === 'countIn') {
      // On the bars of the phrase before, so that the beat runs through.
      const zero = live.startSeconds + (live.beatZeroSeconds ?? 0) - (setup.roundTripSeconds ?? 0);
      const soonest = Math.max(until, desk.now() + bar + READY_SECONDS);
      until = zero + Math.ceil((soonest - zero) / bar - 1e-6) * bar;
    }
    dispatch(roundChanged({ restUntil: until }));
    const decided = decision;
    await arm();
    if (decided !== decision) return;
    takes.prepare(setup);
    if (phrase.start === 'countIn') at(until - bar - READY_SECONDS, () => void begin(until));
    else at(until, () => void begin());
  }

  async function go(to: number) {
    stopWaiting();
    index = Math.max(0, Math.min(count - 1, to));
    tries = 0;
    dispatch(roundChanged({ index, restUntil: null, paused, over: false }));
    await arm();
    dispatch(phaseChanged('armed'));
  }

  /** Nothing begins until the player starts it again. */
  function pauseRound() {
    stopWaiting();
    takes.cancel();
    paused = true;
    dispatch(roundChanged({ index, restUntil: null, paused: true }));
    dispatch(phaseChanged('armed'));
  }

  return {
    get exercise() {
      return exercise;
    },
    phrase: phraseNow,
    async load(next, address) {
      stopWaiting();
      exercise = next;
      index = 0;
      tries = 0;
      ended = null;
      paused = false;
      count = playedPhrases(next).length;
      const hornId = config.setup()?.settings.hornId;
      record =
        next.family === 'swell' || !hornId
          ? null
          : { id: crypto.randomUUID(), startedAt: Date.now(), hornId, exercise: next, address };
      dispatch(
        roundChanged({
          id: record?.id ?? null,
          index: 0,
          count,
          restUntil: null,
          paused: false,
          over: false,
        }),
      );
      await arm();
    },
    begin,
    began() {
      stopWaiting();
      ended = null;
      dispatch(roundChanged({ index, restUntil: null }));
    },
    over(analysis, takeId) {
      if (!exercise || !record || takeId === null) {
        metronome.stop();
        return;
      }
      config.storeRound(record).catch(() => dispatch(troubleCame('storageRefused')));
      ended = index;
      const phrase = playedPhrases(exercise)[index];
      const isOpen = phrase.items.some((item) => item.kind === 'note' && item.open);
      const broke = exercise.onFault === 'stop' && !isOpen && analysis?.measures.holdCause !== 'completed';
      tries++;
      const stays = broke && tries < MOST_TRIES;
      if (!stays) {
        tries = 0;
        if (index + 1 >= count) {
          metronome.stop();
          dispatch(roundChanged({ restUntil: null, over: true }));
          return;
        }
        index++;
      }
      if (!stays && restAfter(exercise, phrase).kind === 'wait') {
        metronome.stop();
        pauseRound();
        return;
      }
      if (exercise.start !== 'countIn') metronome.stop();
      const beat = secondsPerBeat(exercise);
      const written = restBeats(exercise, phrase) * beat;
      const played = Math.min(analysis?.measures.holdSeconds ?? written, phraseBeats(phrase) * beat);
      const end = analysis?.events.findLast(({ type }) => type === 'end')?.timeSeconds;
      void rest(
        isOpen && restAfter(exercise, phrase).kind === 'asPlayed' ? played : written,
        end === undefined ? desk.now() : live.startSeconds + end,
      );
    },
    async resume() {
      takes.cancel();
      await go(index);
    },
    async again() {
      await go(ended ?? index);
      await begin();
    },
    async skip() {
      // While it rests the next one is up already.
      await go(ended === null || ended === index ? index + 1 : index);
      await begin();
    },
    pause: pauseRound,
    unload() {
      stopWaiting();
      takes.cancel();
      exercise = null;
      record = null;
      count = 0;
    },
  };
}
