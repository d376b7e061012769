import { scoreOf, secondsPerBeat } from '@inner-hum/core/exercise';
import { pitchTarget } from '@inner-hum/core/horn';
import { playCue, type Desk, type Drone, type Metronome } from '../audio/index.ts';
import type { RoundRecord } from '../storage/index.ts';
import type { SessionClient } from '../workers/index.ts';
import type { Beat } from './beat.ts';
import type { DroneController } from './droneController.ts';
import type { SimulatedSound } from './simulatedSound.ts';
import { armRequest } from './armRequest.ts';
import type { TroubleCode } from './troubleCode.ts';
import type { VisitEffect, VisitEvent, VisitState } from './visitState.ts';

/** What a visit's effects are carried out with. */
export interface VisitMeans {
  client: SessionClient;
  desk: Desk;
  metronome: Metronome;
  beat: Beat;
  drone: Drone;
  droneController: DroneController;
  simulated: SimulatedSound;
  state(): VisitState;
  send(event: VisitEvent): void;
  /** A call of the worker; one that fails is a worker that broke. */
  call(answer: Promise<unknown>): void;
  tell(trouble: TroubleCode): void;
  tellNoLonger(troubles: readonly TroubleCode[]): void;
  open(effect: Extract<VisitEffect, { do: 'open' }>): void;
  finishTakes(): Promise<void>;
  storeRound(round: RoundRecord): Promise<void>;
}

type Deeds = { [Do in VisitEffect['do']]: (effect: VisitEffect & { do: Do }) => void };

/** Carries out what the machine of the visit asks for, and sends it what came of that. */
export function createVisitEffects(means: VisitMeans): (effect: VisitEffect) => void {
  const { client, desk, metronome, beat, drone, droneController, simulated, send, call, tell } = means;
  let freeAsked = 0;

  const deeds: Deeds = {
    open: means.open,
    replaceWorker: () => client.restart(),
    finishTakes: () => void means.finishTakes().catch(() => tell('storageRefused')),
    arm({ setup, round, takeId, afterSilence }) {
      const roundTripSeconds = setup.roundTripSeconds ?? desk.outputLatencySeconds();
      const { leakDb } = droneController;
      const request = { takeId, afterSilence, roundTripSeconds, droneLeakDb: leakDb };
      call(client.remote.arm(armRequest(setup, round, request)));
    },
    adjust({ setup: { settings, scale } }) {
      call(client.remote.adjust({ eyes: settings.eyes, scale, droneLeakDb: droneController.leakDb }));
    },
    disarm: () => call(client.remote.disarm()),
    endTake: () => call(client.remote.endTake()),
    beginAt: ({ beatZeroSeconds, leadSeconds }) => call(client.remote.beginAt(beatZeroSeconds, leadSeconds)),
    render({ setup, round, takeId, seed }) {
      const ready = simulated.render(setup, round, takeId, seed);
      call(ready.then(() => send({ type: 'rendered', takeId })));
    },
    perform: ({ takeId, atSeconds }) =>
      simulated.perform(takeId, atSeconds, () => send({ type: 'performed', takeId })),
    performFree({ setup }) {
      // Settings that are read anew meanwhile do not still it; leaving does, and being asked again.
      const asked = ++freeAsked;
      call(simulated.performFree(setup, () => asked === freeAsked && means.state().phase === 'free'));
    },
    hush() {
      desk.stopPerforming();
      drone.hush();
    },
    refer({ setup: { settings }, exercise, beatZeroSeconds: zero }) {
      const beatSeconds = secondsPerBeat(exercise);
      for (const { item, startBeat, endBeat } of scoreOf(exercise)) {
        if (item.kind !== 'hear') continue;
        const { targetHz } = pitchTarget(item, settings.hornId, settings.a4Hz);
        drone.refer(targetHz, zero + startBeat * beatSeconds, zero + endBeat * beatSeconds);
      }
    },
    startBeat({ setup, exercise, zeroSeconds, unlessRunning }) {
      if (!unlessRunning || !metronome.pulse) beat.start(setup.settings, exercise, zeroSeconds);
    },
    setMetre: ({ setup, exercise }) => beat.setMetre(setup.settings, exercise),
    setClick: ({ setup, exercise }) => beat.setClick(setup.settings, exercise),
    setTempo: ({ setup, exercise }) => beat.setTempo(setup.settings, exercise),
    stopBeat: () => metronome.stop(),
    drone: ({ setup, exercise }) => droneController.update(setup, exercise),
    cue() {
      const output = desk.output();
      if (output) playCue(output);
    },
    stopDrone: () => droneController.stop(),
    restUntil: ({ takeId, atSeconds }) =>
      desk.after(Math.max(0, atSeconds - desk.now()), () => send({ type: 'restOver', takeId })),
    storeRound: ({ record }) => void means.storeRound(record).catch(() => tell('storageRefused')),
    tell: ({ trouble }) => tell(trouble),
    tellNoLonger: ({ troubles }) => means.tellNoLonger(troubles),
  };
  return (effect) => (deeds[effect.do] as (effect: VisitEffect) => void)(effect);
}
