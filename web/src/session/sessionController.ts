import type { Exercise } from '@inner-hum/core/exercise';
import { FrameTrack } from '@inner-hum/core/hearing';
import type { Dispatch } from '@reduxjs/toolkit';
import { createAudioDesk, createDrone, createMetronome } from '../audio/index.ts';
import type { RoundRecord, WholeTake } from '../storage/index.ts';
import type { SessionClient } from '../workers/index.ts';
import type { SessionSetup } from './setup.ts';
import { minuteKept, phaseChanged, troubleCame, troublesWent, type TroubleCode } from './sessionSlice.ts';
import { createBeat, type BeatSource } from './beat.ts';
import { createDroneKeeper } from './droneKeeper.ts';
import { createLiveInput } from './liveInput.ts';
import { createRoundRunner } from './roundRunner.ts';
import { createSessionEar } from './sessionEar.ts';
import type { LiveSound, SessionController } from './sessionTypes.ts';
import { createTakeRunner, standInOf } from './takeRunner.ts';
import { INPUT_TROUBLES } from './troubleGroups.ts';
import { watchWorker } from './workerWatch.ts';

/** A worker that breaks oftener than this will break again. */
const MOST_RESTARTS = 3;
const RESTARTS_WITHIN_SECONDS = 60;
const STILL_OLD_SECONDS = 2;

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
  /** Where the exercise that is played came from. */
  let address = '';
  /** Whether a room listens: then an input that failed is opened again by itself. */
  let listening = false;
  let restarts: number[] = [];
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
    if (code === 'micUnplugged') void changeMicrophone();
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
        startPulse(setup, phrase, beatZeroSeconds - (setup.roundTripSeconds ?? 0));
    },
    onOver(ended) {
      desk.stopStandIn();
      round.over(ended?.analysis ?? null, ended?.takeId ?? null);
    },
    onUnsaved(take) {
      unsaved.push(take);
      void onUnsaved(take);
    },
    onWorkerFailed() {
      // What the old worker still had to say is no news.
      if (performance.now() / 1000 - (restarts.at(-1) ?? -Infinity) > STILL_OLD_SECONDS) void restart();
    },
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
    () => void restart(),
  );
  client.onFailure(() => void restart());
  const metronome = createMetronome(desk.output, (times) => {
    if (setup?.settings.source === 'microphone') void client.remote.noteClicks(times);
  });

  const beat = createBeat(metronome, desk);
  const beatSource = ({ settings }: SessionSetup, exercise: Exercise | null): BeatSource => ({
    exercise,
    click: settings.click,
    tempoBpm: settings.tempoBpm,
    metre: settings,
  });
  function startPulse(next: SessionSetup, exercise: Exercise | null, zeroSeconds: number) {
    beat.start(beatSource(next, exercise), zeroSeconds);
  }
  const drone = createDrone(desk.output);
  const droneKeeper = createDroneKeeper(drone, client, (spoils) => {
    if (spoils) trouble('droneHeard');
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
    startPulse,
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

  async function open(next: SessionSetup): Promise<boolean> {
    setup = next;
    const opened = await input.open(next.settings.source);
    if (!opened) dispatch(phaseChanged('off'));
    return opened;
  }

  /** What was being played is kept; then whatever microphone there is now listens on. */
  async function changeMicrophone() {
    input.forget();
    dispatch(phaseChanged('off'));
    await client.remote.endTake();
    if (!listening) return;
    await listenAgain();
    const changed = input.source !== null;
    if (!changed) dispatch(troublesWent(['micAbsent', 'micBusy']));
    trouble(changed ? 'micChanged' : 'micUnplugged');
  }

  /** Makes ready again what was ready before, on an input opened anew. */
  async function listenAgain() {
    if (!listening || !setup) return;
    if (round.exercise) await controller.arm(setup, round.exercise, address);
    else await controller.goFree(setup);
  }

  /** The listening has broken: another worker takes over, and finishes what this one was keeping. */
  async function restart() {
    const now = performance.now() / 1000;
    restarts = [...restarts.filter((time) => now - time < RESTARTS_WITHIN_SECONDS), now];
    metronome.stop();
    desk.stopStandIn();
    input.forget();
    dispatch(phaseChanged('off'));
    if (restarts.length > MOST_RESTARTS) {
      trouble('workerFailed');
      return;
    }
    client.restart();
    trouble('workerRestarted');
    finishTakes().catch(() => trouble('storageRefused'));
    await listenAgain();
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
      if (next.settings.click !== 'off') startPulse(next, null, desk.now() + 0.1);
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
      address = from;
      desk.stopStandIn();
      metronome.stop();
      live.takeId = null;
      if (!(await open(next))) return;
      await round.load(wanted, from);
      dispatch(phaseChanged('armed'));
      droneKeeper.update(next, round.phrase());
    },
    adjust(next) {
      const before = setup;
      if (!before) return;
      const { eyes, drone: wanted, beatsPerBar, subdivision, accent, silentBars } = next.settings;
      const settings = {
        ...before.settings,
        eyes,
        drone: wanted,
        beatsPerBar,
        subdivision,
        accent,
        silentBars,
      };
      setup = { ...before, scale: next.scale, settings };
      beat.setMetre(beatSource(setup, round.phrase()));
      droneKeeper.update(setup, round.phrase());
      if (round.exercise)
        void client.remote.adjust({ eyes, scale: next.scale, droneSpoils: droneKeeper.spoils });
    },
    async begin() {
      if (!setup || !round.exercise) return;
      if (input.source === null) await controller.arm(setup, round.exercise, address);
      else await round.begin();
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
      await client.remote.endTake();
      await round.pause();
    },
    async endTake() {
      await client.remote.endTake();
    },
    async keepLastMinute() {
      if (!setup) return;
      const { hornId, a4Hz, source } = setup.settings;
      const id = await client.remote.keepLastMinute({ hornId, a4Hz, scale: setup.scale, source });
      dispatch(minuteKept(id));
    },
    hearStandIn: (request) => client.remote.hearStandIn(request),
    clickDelays: (due) => client.remote.clickDelays(due),
    setClick(click) {
      if (!setup) return;
      setup = { ...setup, settings: { ...setup.settings, click } };
      beat.setClick(beatSource(setup, round.phrase()));
    },
    setTempo(tempoBpm) {
      if (!setup) return;
      setup = { ...setup, settings: { ...setup.settings, tempoBpm } };
      beat.setTempo(beatSource(setup, round.phrase()));
    },
  };
  return controller;
}
