import { pitchTarget } from '@inner-hum/core/horn';
import { scoreOf, secondsPerBeat } from '@inner-hum/core/exercise';
import type { Dispatch } from '@reduxjs/toolkit';
import { createDrone, createMetronome, type Desk, type DeskTrouble } from '../audio/index.ts';
import { gearOf, type RoundRecord, type WholeTake } from '../storage/index.ts';
import type { SessionClient, SessionEvent } from '../workers/index.ts';
import { createBeat } from './beat.ts';
import { createDroneController } from './droneController.ts';
import { followLive, newLiveSound } from './liveSound.ts';
import { openInput } from './openInput.ts';
import { minuteKept, problemRaised, problemsCleared, visitShown } from './sessionSlice.ts';
import type { TroubleCode } from './troubleCode.ts';
import type { SessionController } from './sessionTypes.ts';
import { armRequest, standInOf, standInRequest } from './takeRequests.ts';
import { step } from './visitMachine.ts';
import { FIRST_STATE, type VisitEffect, type VisitEvent, type VisitState } from './visitState.ts';
import { viewOf } from './visitView.ts';
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
  /** What the simulated player will play for the take that is ready. */
  let rendered: { takeId: string; samples: Float32Array<ArrayBuffer> } | null = null;
  const unsaved: WholeTake[] = [];
  const live = newLiveSound();

  const tell = (trouble: TroubleCode) => dispatch(problemRaised(trouble));
  const desk = config.createDesk((trouble) => {
    if (trouble === null) dispatch(problemsCleared(['suspended', 'micMuted']));
    else if (trouble === 'micUnplugged') send({ type: 'inputLost' });
    else tell(trouble);
  });
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
    desk.hurry(isHurried(state));
    dispatch(visitShown(viewOf(state)));
  }

  /** A call of the worker that fails is a worker that broke. */
  function call(answer: Promise<unknown>): void {
    const { worker } = state;
    answer.catch(() => send({ type: 'workerBroke', worker }));
  }

  function carryOut(effect: VisitEffect): void {
    switch (effect.do) {
      case 'open':
        void open(effect);
        return;
      case 'replaceWorker':
        client.restart();
        return;
      case 'finishTakes':
        config.finishTakes().catch(() => tell('storageRefused'));
        return;
      case 'arm': {
        const { setup, round, takeId, afterSilence } = effect;
        const roundTripSeconds = setup.roundTripSeconds ?? desk.outputLatencySeconds();
        const { leakDb } = droneController;
        const request = { takeId, afterSilence, roundTripSeconds, droneLeakDb: leakDb };
        call(client.remote.arm(armRequest(setup, round, request)));
        return;
      }
      case 'adjust': {
        const { settings, scale } = effect.setup;
        call(client.remote.adjust({ eyes: settings.eyes, scale, droneLeakDb: droneController.leakDb }));
        return;
      }
      case 'disarm':
        call(client.remote.disarm());
        return;
      case 'endTake':
        call(client.remote.endTake());
        return;
      case 'beginAt':
        call(client.remote.beginAt(effect.beatZeroSeconds, effect.leadSeconds));
        return;
      case 'render':
        call(render(effect));
        return;
      case 'perform':
        perform(effect);
        return;
      case 'performFree':
        call(performFree(effect));
        return;
      case 'hush':
        desk.stopPerforming();
        drone.hush();
        return;
      case 'refer': {
        const { setup, exercise, beatZeroSeconds: zero } = effect;
        const beatSeconds = secondsPerBeat(exercise);
        for (const { item, startBeat, endBeat } of scoreOf(exercise)) {
          if (item.kind !== 'hear') continue;
          const { targetHz } = pitchTarget(item, setup.settings.hornId, setup.settings.a4Hz);
          drone.refer(targetHz, zero + startBeat * beatSeconds, zero + endBeat * beatSeconds);
        }
        return;
      }
      case 'startBeat':
        if (!effect.unlessRunning || !metronome.pulse)
          beat.start(effect.setup.settings, effect.exercise, effect.zeroSeconds);
        return;
      case 'setMetre':
      case 'setClick':
      case 'setTempo':
        beat[effect.do](effect.setup.settings, effect.exercise);
        return;
      case 'stopBeat':
        metronome.stop();
        return;
      case 'drone':
        droneController.update(effect.setup, effect.exercise);
        return;
      case 'stopDrone':
        droneController.stop();
        return;
      case 'restUntil': {
        const { takeId, atSeconds } = effect;
        desk.after(Math.max(0, atSeconds - desk.now()), () => send({ type: 'restOver', takeId }));
        return;
      }
      case 'storeRound':
        config.storeRound(effect.record).catch(() => tell('storageRefused'));
        return;
      case 'tell':
        tell(effect.trouble);
        return;
      case 'tellNoLonger':
        dispatch(problemsCleared([...effect.troubles]));
    }
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

  async function render({ setup, round, takeId, seed }: Extract<VisitEffect, { do: 'render' }>) {
    const samples = await client.remote.renderStandIn(standInRequest(setup, round, sampleRateHz, seed));
    rendered = { takeId, samples };
    send({ type: 'rendered', takeId });
  }

  function perform({ takeId, atSeconds }: Extract<VisitEffect, { do: 'perform' }>) {
    if (rendered?.takeId !== takeId) return;
    const { samples } = rendered;
    rendered = null;
    desk.perform({ samples, sampleRateHz, atSeconds, onOver: () => send({ type: 'performed', takeId }) });
  }

  async function performFree({ setup }: Extract<VisitEffect, { do: 'performFree' }>) {
    const samples = await client.remote.renderFreePlaying({ ...standInOf(setup, sampleRateHz), seed: 1 });
    if (state.phase === 'free' && state.setup === setup)
      desk.perform({ samples, sampleRateHz, atSeconds: 0, onOver: null });
  }

  /** What the worker tells. Takes that could not be stored are kept in any case; all else is news of the present take, or none. */
  function hear(event: SessionEvent, worker: number): void {
    watch.heard();
    followLive(live, event, state.take?.id ?? null);
    switch (event.type) {
      case 'segment': {
        const { takeId: id, startSeconds, beatZeroSeconds } = event;
        if (id === null || beatZeroSeconds === null) return;
        const zero = startSeconds + beatZeroSeconds;
        send({ type: 'takeBegun', takeId: id, startSeconds, beatZeroSeconds: zero });
        return;
      }
      case 'takeOver':
      case 'takeEnded':
      case 'nothingHeard':
        send(event);
        return;
      case 'takeUnsaved':
        unsaved.push(event.take);
        void config.onUnsaved(event.take);
        tell('takeUnsaved');
        return;
      case 'storageTrouble':
        tell(event.full ? 'storageFull' : 'storageRefused');
        return;
      case 'trouble':
        // The simulated player is silent, soft and loud as it likes: that is no trouble.
        if (state.input === 'microphone' || event.trouble === 'lostSound') tell(event.trouble);
        return;
      case 'workerFailed':
        send({ type: 'workerBroke', worker });
    }
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
    hearStandIn: (request) => client.remote.hearStandIn(request),
    clickDelays: (due) => client.remote.clickDelays(due),
  };
}
