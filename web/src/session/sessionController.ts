import type { Dispatch } from '@reduxjs/toolkit';
import { createDrone, createMetronome, type Desk, type DeskTrouble } from '../audio/index.ts';
import { gearOf, type RoundRecord, type WholeTake } from '../storage/index.ts';
import type { SessionClient, SessionEvent } from '../workers/index.ts';
import { createBeat } from './beat.ts';
import { createCountdowns } from './countdowns.ts';
import { createDroneController } from './droneController.ts';
import { createOwnTimeFollower, followLive, newLiveSound } from './liveSound.ts';
import { phraseOf } from './round.ts';
import { openInput } from './openInput.ts';
import { minuteKept, problemRaised, problemsCleared, visitShown } from './sessionSlice.ts';
import type { TroubleCode } from './troubleCode.ts';
import type { SessionController } from './sessionTypes.ts';
import { createSimulatedSound } from './simulatedSound.ts';
import { createVisitEffects } from './visitEffects.ts';
import { step } from './visitMachine.ts';
import { FIRST_STATE, type VisitEffect, type VisitEvent, type VisitState } from './visitState.ts';
import { viewOf } from './visitView.ts';
import { handOnNews, type NewsDesk } from './workerNews.ts';
import { watchWorker } from './workerWatch.ts';

export interface SessionConfig {
  client: SessionClient;
  /** Made with what is to be told of its troubles; null: the trouble is over. */
  createDesk(onTrouble: (trouble: DeskTrouble | null) => void): Desk;
  dispatch: Dispatch;
  /** Finishes takes that a broken worker or a page that has gone left unfinished. */
  finishTakes(): Promise<void>;
  /** A take could not be stored by the worker. */
  onUnsaved(take: WholeTake): Promise<void>;
  storeRound(round: RoundRecord): Promise<void>;
}

/** Time that nobody needs to see pass: a take, and the rest after it. A verdict takes as long as it takes. */
const isHurried = ({ phase, restUntil, take }: VisitState) =>
  phase === 'counting' || phase === 'playing' || restUntil !== null || take?.sound === 'sounding';

/** Runs the visit: does what its machine says, on a desk and a worker, and says to it what comes of that. One per page. */
export function createSessionController(config: SessionConfig): SessionController {
  const { client, dispatch } = config;
  let state = FIRST_STATE;
  let sampleRateHz = 48000;
  const unsaved: WholeTake[] = [];
  const live = newLiveSound();

  const tell = (trouble: TroubleCode) => dispatch(problemRaised(trouble));
  const desk = config.createDesk((trouble) => {
    if (trouble === null) dispatch(problemsCleared(['suspended', 'micMuted']));
    else if (trouble === 'micUnplugged') send({ type: 'inputLost' });
    else tell(trouble);
  });
  const setPace = () => desk.hurry(countdowns.isAnyRunning() || isHurried(state));
  const countdowns = createCountdowns(desk, setPace);
  const metronome = createMetronome(desk, (times) => {
    if (state.input === 'microphone') call(client.remote.noteClicks(times));
  });
  const beat = createBeat(metronome, desk);
  const drone = createDrone(desk.output);
  const droneController = createDroneController(drone, desk, client, (leakDb) => {
    if (leakDb !== null && leakDb < Infinity) tell('droneHeard');
    else dispatch(problemsCleared(['droneHeard']));
    send({ type: 'droneHeard' });
  });
  const watch = watchWorker(
    desk,
    () => state.input !== null,
    () => send({ type: 'workerBroke', worker: state.worker }),
  );
  client.onFailure(() => send({ type: 'workerBroke', worker: state.worker }));
  const carryOut = createVisitEffects({
    client,
    desk,
    metronome,
    beat,
    drone,
    droneController,
    simulated: createSimulatedSound(client, desk, () => sampleRateHz),
    state: () => state,
    send,
    call,
    tell,
    tellNoLonger: (troubles) => dispatch(problemsCleared([...troubles])),
    open: (effect) => void open(effect),
    finishTakes: config.finishTakes,
    storeRound: config.storeRound,
  });
  const news: NewsDesk = {
    send,
    tell,
    unsaved(take) {
      unsaved.push(take);
      void config.onUnsaved(take);
    },
  };

  /** What was said while something else was being carried out has its turn after it. */
  const waiting: VisitEvent[] = [];
  function send(event: VisitEvent): void {
    waiting.push(event);
    if (waiting.length > 1) return;
    for (let next = waiting.at(0); next; next = waiting.at(0)) {
      take(next);
      waiting.shift();
    }
  }

  function take(event: VisitEvent): void {
    const before = state;
    const [next, effects] = step(state, event, {
      nowSeconds: desk.now(),
      wallSeconds: performance.now() / 1000,
      dateMs: Date.now(),
      takeId: crypto.randomUUID(),
      roundId: crypto.randomUUID(),
    });
    state = next;
    for (const effect of effects) carryOut(effect);
    if (state === before) return;
    const isShown =
      live.takeId === state.take?.id || (state.phase === 'resting' && live.takeId === state.endedTakeId);
    if (!isShown) live.takeId = null;
    setPace();
    dispatch(visitShown(viewOf(state)));
  }

  /** A call of the worker that fails is a worker that broke. */
  function call(answer: Promise<unknown>): void {
    const { worker } = state;
    answer.catch(() => send({ type: 'workerBroke', worker }));
  }

  async function open({ openingId, input }: Extract<VisitEffect, { do: 'open' }>) {
    const { worker } = state;
    const opened = await openInput(client, desk, input, (event) => hear(event, worker));
    if (typeof opened === 'string') {
      send({ type: 'notOpened', openingId, trouble: opened });
      return;
    }
    if (openingId === state.opening?.id) sampleRateHz = opened.sampleRateHz;
    opened.troubles.forEach(tell);
    send({ type: 'opened', openingId });
  }

  function hear(event: SessionEvent, worker: number): void {
    watch.heard();
    const { setup, wants } = state;
    followLive(live, event, state.take?.id ?? null, () =>
      setup && wants !== null && wants !== 'free' ? createOwnTimeFollower(setup, phraseOf(wants)) : null,
    );
    handOnNews(event, worker, state.input, news);
  }

  return {
    live,
    desk,
    metronome,
    unsaved,
    goFree: (setup) => send({ type: 'goFree', setup }),
    arm: (setup, exercise, address) => send({ type: 'arm', setup, exercise, address }),
    leave: () => send({ type: 'leave' }),
    adjust: (setup) => send({ type: 'adjust', setup }),
    begin: () => send({ type: 'begin' }),
    again: () => send({ type: 'again' }),
    skip: () => send({ type: 'skip' }),
    pause: () => send({ type: 'pause' }),
    endTake: () => send({ type: 'endTake' }),
    forgetInput: () => send({ type: 'forgetInput' }),
    setClick: (click) => send({ type: 'setClick', click }),
    setTempo: (tempoBpm) => send({ type: 'setTempo', tempoBpm }),
    async keepLastMinute() {
      const { setup } = state;
      if (!setup) return;
      const { hornId, a4Hz, source } = setup.settings;
      const gear = gearOf(setup.settings);
      const id = await client.remote.keepLastMinute({ hornId, gear, a4Hz, scale: setup.scale, source });
      dispatch(minuteKept(id));
    },
    countDown: countdowns.start,
    hearSimulated: (request) => client.remote.hearSimulated(request),
    clickDelays: (due) => client.remote.clickDelays(due),
  };
}
