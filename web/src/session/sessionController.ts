import { FrameTrack } from '@inner-hum/core/hearing';
import type { Dispatch } from '@reduxjs/toolkit';
import { createAudioDesk, createDrone, createMetronome } from '../audio/index.ts';
import { gearOf, type RoundRecord, type WholeTake } from '../storage/index.ts';
import type { SessionClient } from '../workers/index.ts';
import { changedWhileArmed, type SessionSetup } from './setup.ts';
import { minuteKept, phaseChanged, troubleCame, troublesWent, type TroubleCode } from './sessionSlice.ts';
import { createBeat } from './beat.ts';
import { createDroneKeeper } from './droneKeeper.ts';
import { createLiveInput } from './liveInput.ts';
import { createRecovery } from './recovery.ts';
import { createRoundRunner } from './roundRunner.ts';
import { createSessionEar } from './sessionEar.ts';
import type { LiveSound, SessionController } from './sessionTypes.ts';
import { createTakeRunner, standInOf } from './takeRunner.ts';
import { INPUT_TROUBLES } from './troubleGroups.ts';
import { watchWorker } from './workerWatch.ts';

export interface SessionConfig {
  client: SessionClient;
  dispatch: Dispatch;
  /** Finishes takes that a broken worker or a page that has gone left unfinished. */
  finishTakes(): Promise<void>;
  /** A take could not be stored by the worker. */
  onUnsaved(take: WholeTake): Promise<void>;
  storeRound(round: RoundRecord): Promise<void>;
}

/** Ties input, worker, metronome and store together. One per page. */
export function createSessionController(config: SessionConfig): SessionController {
  const { client, dispatch, finishTakes, onUnsaved } = config;
  const trouble = (code: TroubleCode) => dispatch(troubleCame(code));
  let setup: SessionSetup | null = null;
  /** Whether a room listens: then an input that failed is opened again by itself. */
  let listening = false;
  const unsaved: WholeTake[] = [];
  const live: LiveSound = {
    track: new FrameTrack(),
    startSeconds: 0,
    takeId: null,
    beatZeroSeconds: null,
    takeFrames: null,
  };

  const desk = createAudioDesk((code) => {
    if (code === null) {
      dispatch(troublesWent(['suspended', 'micMuted']));
      return;
    }
    if (code === 'micUnplugged') void recovery.changeMicrophone();
    else trouble(code);
  });
  const ear = createSessionEar({
    live,
    dispatch,
    isStandIn: () => setup?.settings.source === 'standIn',
    onBegun(beatZeroSeconds) {
      round.began();
      // Playing to start: the beat joins the player. What is heard now left the speaker a round trip ago.
      const phrase = round.phrase();
      if (setup && phrase?.start === 'playToStart')
        beat.start(setup.settings, phrase, beatZeroSeconds - (setup.roundTripSeconds ?? 0));
    },
    onOver(ended) {
      desk.stopStandIn();
      round.over(ended?.analysis ?? null, ended?.takeId ?? null);
    },
    onUnsaved(take) {
      unsaved.push(take);
      void onUnsaved(take);
    },
    onWorkerFailed: () => recovery.workerFailed(),
  });
  const input = createLiveInput({
    client,
    desk,
    hear(event) {
      watch.heard();
      ear(event);
    },
    onOpening() {
      dispatch(phaseChanged('opening'));
      dispatch(troublesWent(INPUT_TROUBLES));
    },
    onTrouble: trouble,
  });
  const watch = watchWorker(
    () => (input.source === null ? null : desk.now()),
    () => void recovery.restart(),
  );
  client.onFailure(() => void recovery.restart());
  const metronome = createMetronome(desk.output, (times) => {
    if (setup?.settings.source === 'microphone') void client.remote.noteClicks(times);
  });

  const beat = createBeat(metronome, desk);
  const drone = createDrone(desk.output);
  const droneKeeper = createDroneKeeper(drone, client, (leakDb) => {
    if (leakDb !== null && leakDb < Infinity) trouble('droneHeard');
    else dispatch(troublesWent(['droneHeard']));
    if (setup) controller.adjust(setup);
  });
  const takes = createTakeRunner({
    client,
    desk,
    metronome,
    drone,
    dispatch,
    sampleRateHz: () => input.sampleRateHz,
    droneLeakDb: () => droneKeeper.leakDb,
    beat,
  });
  const round = createRoundRunner({
    takes,
    desk,
    metronome,
    live,
    dispatch,
    setup: () => setup,
    storeRound: config.storeRound,
  });

  const recovery = createRecovery({
    client,
    input,
    dispatch,
    finishTakes,
    isListening: () => listening,
    hush() {
      metronome.stop();
      desk.stopStandIn();
    },
    async listenAgain() {
      if (!setup) return;
      if (!round.exercise) await controller.goFree(setup);
      else if (await open(setup)) await round.resume();
    },
  });

  async function open(next: SessionSetup): Promise<boolean> {
    setup = next;
    const opened = await input.open(next.settings.source);
    if (!opened) dispatch(phaseChanged('off'));
    return opened;
  }

  /** What was being played is kept, but its end is no news: something else is wanted now. */
  function leaveTake() {
    live.takeId = null;
    metronome.stop();
  }

  const controller: SessionController = {
    live,
    desk,
    metronome,
    forgetInput: input.forget,
    unsaved,
    async goFree(next) {
      listening = true;
      round.unload();
      metronome.stop();
      if (!(await open(next))) return;
      live.takeId = null;
      await client.remote.disarm();
      live.beatZeroSeconds = null;
      dispatch(phaseChanged('free'));
      if (next.settings.click !== 'off') beat.start(next.settings, null, desk.now() + 0.1);
      droneKeeper.update(next, null);
      if (next.settings.source !== 'standIn') return;
      const samples = await client.remote.renderFreePlaying({
        ...standInOf(next, input.sampleRateHz),
        seed: 1,
      });
      if (round.exercise === null) desk.playStandIn(samples, input.sampleRateHz, 0, true);
    },
    async rest() {
      listening = false;
      round.unload();
      live.takeId = null;
      metronome.stop();
      droneKeeper.stop();
      if (input.source !== null) await client.remote.disarm();
    },
    async arm(next, wanted, from) {
      listening = true;
      desk.stopStandIn();
      metronome.stop();
      live.takeId = null;
      if (!(await open(next))) return;
      await round.load(wanted, from);
      dispatch(phaseChanged('armed'));
      droneKeeper.update(next, round.exercise);
    },
    adjust(next) {
      if (!setup) return;
      setup = changedWhileArmed(setup, next);
      beat.setMetre(setup.settings, round.phrase());
      droneKeeper.update(setup, round.exercise);
      if (round.exercise)
        void client.remote.adjust({
          eyes: setup.settings.eyes,
          scale: setup.scale,
          droneLeakDb: droneKeeper.leakDb,
        });
    },
    async begin() {
      if (!setup || !round.exercise) return;
      if (input.source !== null) await round.begin();
      else if (await open(setup)) await round.resume();
    },
    async again() {
      leaveTake();
      await round.again();
    },
    async skip() {
      leaveTake();
      await round.skip();
    },
    async pause() {
      leaveTake();
      round.pause();
      await client.remote.disarm();
    },
    async endTake() {
      await client.remote.endTake();
    },
    async keepLastMinute() {
      if (!setup) return;
      const { hornId, a4Hz, source } = setup.settings;
      const id = await client.remote.keepLastMinute({
        hornId,
        gear: gearOf(setup.settings),
        a4Hz,
        scale: setup.scale,
        source,
      });
      dispatch(minuteKept(id));
    },
    hearStandIn: (request) => client.remote.hearStandIn(request),
    clickDelays: (due) => client.remote.clickDelays(due),
    setClick(click) {
      if (!setup) return;
      setup = { ...setup, settings: { ...setup.settings, click } };
      beat.setClick(setup.settings, round.phrase());
    },
    setTempo(tempoBpm) {
      if (!setup) return;
      setup = { ...setup, settings: { ...setup.settings, tempoBpm } };
      beat.setTempo(setup.settings, round.phrase());
    },
  };
  return controller;
}
