import { secondsPerBeat, type Exercise } from '@inner-hum/core/exercise';
import { FrameTrack } from '@inner-hum/core/hearing';
import type { Dispatch } from '@reduxjs/toolkit';
import { createAudioDesk, createMetronome } from '../audio/index.ts';
import type { WholeTake } from '../storage/index.ts';
import type { SessionClient } from '../workers/index.ts';
import type { SessionSetup } from './setup.ts';
import { minuteKept, phaseChanged, troubleCame, troublesWent, type TroubleCode } from './sessionSlice.ts';
import { createBeat, type BeatSource } from './beat.ts';
import { createLiveInput } from './liveInput.ts';
import { createSessionEar } from './sessionEar.ts';
import type { LiveSound, SessionController } from './sessionTypes.ts';
import { INPUT_TROUBLES, SOUND_TROUBLES } from './troubleGroups.ts';
import { watchWorker } from './workerWatch.ts';

const COUNT_LEAD_SECONDS = 0.15;
/** Part of a counted take before beat 0: an early start must be seen. */
const TAKE_LEAD_BEATS = 1;
const STAND_IN_LEAD_SECONDS = 1;
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
}

/** Ties input, worker, metronome and store together. One per page. */
export function createSessionController(config: SessionConfig): SessionController {
  const { client, dispatch, finishTakes, onUnsaved } = config;
  const trouble = (code: TroubleCode) => dispatch(troubleCame(code));
  let setup: SessionSetup | null = null;
  let exercise: Exercise | null = null;
  /** Whether a room listens: then an input that failed is opened again by itself. */
  let listening = false;
  let restarts: number[] = [];
  let seed = 1;
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
      // Playing to start: the beat joins the player. What is heard now left the speaker a round trip ago.
      if (exercise?.start === 'playToStart') startPulse(beatZeroSeconds - (setup?.roundTripSeconds ?? 0));
    },
    onOver() {
      metronome.stop();
      desk.stopStandIn();
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
  const beatSource = ({ settings: { click, tempoBpm } }: SessionSetup): BeatSource => ({
    exercise,
    click,
    tempoBpm,
  });
  function startPulse(zeroSeconds: number) {
    if (setup) beat.start(beatSource(setup), zeroSeconds);
  }

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
    if (exercise) await controller.arm(setup, exercise);
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

  const standInOf = ({ settings: { hornId, a4Hz }, scale, profile }: SessionSetup) => ({
    hornId,
    a4Hz,
    scale,
    profile,
    sampleRateHz: input.sampleRateHz,
  });

  /** The sound of the stand-in playing the exercise; null where a horn plays. */
  async function standInSound(): Promise<Float32Array<ArrayBuffer> | null> {
    if (!setup || !exercise || setup.settings.source !== 'standIn') return null;
    return client.remote.renderStandIn({ ...standInOf(setup), exercise, seed: seed++ });
  }

  const controller: SessionController = {
    live,
    desk,
    metronome,
    forgetInput: input.forget,
    unsaved,
    async goFree(next) {
      listening = true;
      exercise = null;
      metronome.stop();
      desk.stopStandIn();
      if (!(await open(next))) return;
      live.takeId = null;
      await client.remote.disarm();
      live.beatZeroSeconds = null;
      dispatch(phaseChanged('free'));
      if (next.settings.click !== 'off') startPulse(desk.now() + 0.1);
      if (next.settings.source !== 'standIn') return;
      const samples = await client.remote.renderFreePlaying({ ...standInOf(next), seed });
      if (exercise === null) desk.playStandIn(samples, input.sampleRateHz, 0, true);
    },
    async rest() {
      listening = false;
      exercise = null;
      live.takeId = null;
      metronome.stop();
      desk.stopStandIn();
      if (input.source !== null) await client.remote.disarm();
    },
    async arm(next, wanted) {
      listening = true;
      desk.stopStandIn();
      metronome.stop();
      exercise = wanted;
      live.takeId = null;
      if (!(await open(next))) return;
      const { hornId, a4Hz, toleranceId, source, eyes, click } = next.settings;
      await client.remote.arm({
        context: {
          exercise: wanted,
          hornId,
          a4Hz,
          scale: next.scale,
          toleranceId,
          roomFloorDb: next.roomFloorDb,
        },
        source,
        eyes,
        roundTripSeconds: next.roundTripSeconds ?? desk.outputLatencySeconds(),
      });
      dispatch(phaseChanged('armed'));
      if (wanted.start === 'playToStart' && click !== 'off') startPulse(desk.now() + 0.1);
    },
    adjust(next) {
      if (!setup || !exercise) return;
      setup = { ...setup, scale: next.scale, settings: { ...setup.settings, eyes: next.settings.eyes } };
      void client.remote.adjust({ eyes: next.settings.eyes, scale: next.scale });
    },
    async begin() {
      if (!setup || !exercise) return;
      if (input.source === null) {
        await controller.arm(setup, exercise);
        return;
      }
      dispatch(troublesWent(SOUND_TROUBLES));
      // Made before anything is counted, so that the stand-in is never late.
      const sound = await standInSound();
      if (!exercise) return;
      if (exercise.start === 'playToStart') {
        dispatch(phaseChanged('armed'));
        if (setup.settings.click !== 'off') startPulse(desk.now() + 0.1);
        if (sound) desk.playStandIn(sound, input.sampleRateHz, desk.now(), false);
        return;
      }
      const beatSeconds = secondsPerBeat(exercise);
      const lead = sound ? STAND_IN_LEAD_SECONDS + setup.profile.responseMs / 1000 : 0;
      const countSeconds = exercise.beatsPerBar * beatSeconds;
      const countStart = desk.now() + COUNT_LEAD_SECONDS + Math.max(0, lead - countSeconds);
      const beatZero = countStart + countSeconds;
      startPulse(countStart);
      dispatch(phaseChanged('counting'));
      await client.remote.beginAt(beatZero, TAKE_LEAD_BEATS * beatSeconds);
      if (sound) desk.playStandIn(sound, input.sampleRateHz, beatZero - lead, false);
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
      beat.setClick(beatSource(setup));
    },
    setTempo(tempoBpm) {
      if (!setup) return;
      setup = { ...setup, settings: { ...setup.settings, tempoBpm } };
      beat.setTempo(beatSource(setup));
    },
  };
  return controller;
}
