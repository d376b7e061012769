import { secondsPerBeat, type Exercise } from '@inner-hum/core/exercise';
import { FrameTrack } from '@inner-hum/core/hearing';
import { transfer } from 'comlink';
import type { Dispatch } from '@reduxjs/toolkit';
import { createAudioDesk, createMetronome } from '../../audio/index.ts';
import type { SessionClient, SessionEvent } from '../../workers/index.ts';
import type { StandSetup } from './standSetup.ts';
import {
  minuteKept,
  phaseChanged,
  takeEnded,
  troubleCame,
  troublesWent,
  type TroubleCode,
} from './standSlice.ts';
import type { LiveSound, StandController } from './standTypes.ts';
import { INPUT_TROUBLES, SOUND_TROUBLES } from './troubleGroups.ts';

const COUNT_LEAD_SECONDS = 0.15;
/** Part of a counted take before beat 0: an early start must be seen. */
const TAKE_LEAD_BEATS = 1;
const STAND_IN_LEAD_SECONDS = 1;
const LOW_RATE_HZ = 32000;

const isHeard = (click: StandSetup['settings']['click']) => click === 'heard' || click === 'both';

/** Ties input, worker, metronome and store together. One per page. */
export function createStandController(client: SessionClient, dispatch: Dispatch): StandController {
  const trouble = (code: TroubleCode) => dispatch(troubleCame(code));
  let setup: StandSetup | null = null;
  let exercise: Exercise | null = null;
  let openSource: StandSetup['settings']['source'] | null = null;
  let sampleRateHz = 48000;
  let opening: Promise<boolean> = Promise.resolve(false);
  let unsavedFile: Uint8Array<ArrayBuffer> | null = null;
  let seed = 1;
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
    trouble(code);
    if (code !== 'micUnplugged') return;
    // What was played until now is kept; the desk waits for the microphone to come back.
    openSource = null;
    void client.remote.endTake();
    dispatch(phaseChanged('off'));
  });
  const metronome = createMetronome(desk.output, (times) => {
    if (setup?.settings.source === 'microphone') void client.remote.noteClicks(times);
  });

  function startPulse(zeroSeconds: number) {
    if (!setup) return;
    const beat = exercise ? secondsPerBeat(exercise) : 60 / setup.settings.tempoBpm;
    metronome.setHeard(isHeard(setup.settings.click));
    metronome.start({ zeroSeconds, secondsPerBeat: beat, beatsPerBar: exercise?.beatsPerBar ?? 4 });
  }

  function hear(event: SessionEvent) {
    switch (event.type) {
      case 'segment':
        live.track = new FrameTrack();
        live.startSeconds = event.startSeconds;
        live.takeId = event.takeId;
        live.beatZeroSeconds = event.beatZeroSeconds;
        live.takeFrames = null;
        if (event.takeId === null || event.beatZeroSeconds === null) return;
        dispatch(troublesWent(SOUND_TROUBLES));
        dispatch(phaseChanged('playing'));
        // Playing to start: the beat joins the player. What is heard now left the speaker a round trip ago.
        if (exercise?.start === 'playToStart')
          startPulse(event.startSeconds + event.beatZeroSeconds - (setup?.roundTripSeconds ?? 0));
        return;
      case 'frames':
        live.track.appendColumns(event.columns);
        return;
      case 'takeEnded':
        // A take that was left - another room, another exercise - is kept, but is no news here.
        if (event.takeId !== live.takeId) return;
        metronome.stop();
        desk.stopStandIn();
        live.takeFrames = live.track.count;
        dispatch(takeEnded(event.takeId));
        return;
      case 'nothingHeard':
        metronome.stop();
        trouble('nothingHeard');
        dispatch(phaseChanged('armed'));
        return;
      case 'takeUnsaved':
        unsavedFile = event.file;
        trouble('takeUnsaved');
        return;
      case 'storageTrouble':
        trouble(event.full ? 'storageFull' : 'storageRefused');
        return;
      case 'trouble':
        if (setup?.settings.source === 'standIn' && event.trouble !== 'lostSound') return;
        trouble(event.trouble);
        return;
      case 'workerFailed':
        trouble('workerFailed');
        dispatch(phaseChanged('off'));
    }
  }

  /** One opening at a time: rooms follow each other faster than a microphone opens. */
  function open(next: StandSetup): Promise<boolean> {
    opening = opening.then(() => openNow(next));
    return opening;
  }

  async function openNow(next: StandSetup): Promise<boolean> {
    setup = next;
    if (openSource === next.settings.source) return true;
    dispatch(phaseChanged('opening'));
    dispatch(troublesWent(INPUT_TROUBLES));
    const capture = new MessageChannel();
    const events = new MessageChannel();
    events.port1.onmessage = ({ data }: MessageEvent<SessionEvent>) => hear(data);
    const input = await desk.open(next.settings.source, capture.port1);
    if (typeof input === 'string') {
      trouble(input);
      openSource = null;
      dispatch(phaseChanged('off'));
      return false;
    }
    openSource = next.settings.source;
    sampleRateHz = input.sampleRateHz;
    if (input.deviceRateHz !== null && input.deviceRateHz < LOW_RATE_HZ) trouble('lowRate');
    if (input.keptProcessing.length > 0) trouble('keptProcessing');
    await client.remote.attach(
      transfer(capture.port2, [capture.port2]),
      transfer(events.port2, [events.port2]),
      sampleRateHz,
    );
    return true;
  }

  const standInOf = ({ settings: { hornId, a4Hz }, scale, profile }: StandSetup) => ({
    hornId,
    a4Hz,
    scale,
    profile,
    sampleRateHz,
  });

  /** The sound of the stand-in playing the exercise; null where a horn plays. */
  async function standInSound(): Promise<Float32Array<ArrayBuffer> | null> {
    if (!setup || !exercise || setup.settings.source !== 'standIn') return null;
    return client.remote.renderStandIn({ ...standInOf(setup), exercise, seed: seed++ });
  }

  return {
    live,
    desk,
    metronome,
    forgetInput() {
      openSource = null;
    },
    get unsavedFile() {
      return unsavedFile;
    },
    async goFree(next) {
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
      if (exercise === null) desk.playStandIn(samples, sampleRateHz, 0, true);
    },
    async goFreeQuietly() {
      exercise = null;
      live.takeId = null;
      metronome.stop();
      desk.stopStandIn();
      if (openSource !== null) await client.remote.disarm();
    },
    async arm(next, wanted) {
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
      if (openSource === null) {
        await this.arm(setup, exercise);
        return;
      }
      dispatch(troublesWent(SOUND_TROUBLES));
      // Made before anything is counted, so that the stand-in is never late.
      const sound = await standInSound();
      if (!exercise) return;
      if (exercise.start === 'playToStart') {
        dispatch(phaseChanged('armed'));
        if (setup.settings.click !== 'off') startPulse(desk.now() + 0.1);
        if (sound) desk.playStandIn(sound, sampleRateHz, desk.now(), false);
        return;
      }
      const beat = secondsPerBeat(exercise);
      const lead = sound ? STAND_IN_LEAD_SECONDS + setup.profile.responseMs / 1000 : 0;
      const countSeconds = exercise.beatsPerBar * beat;
      const countStart = desk.now() + COUNT_LEAD_SECONDS + Math.max(0, lead - countSeconds);
      const beatZero = countStart + countSeconds;
      startPulse(countStart);
      dispatch(phaseChanged('counting'));
      await client.remote.beginAt(beatZero, TAKE_LEAD_BEATS * beat);
      if (sound) desk.playStandIn(sound, sampleRateHz, beatZero - lead, false);
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
      metronome.setHeard(isHeard(click));
      if (click === 'off') metronome.stop();
      else if (!metronome.pulse) startPulse(desk.now() + 0.05);
    },
    setTempo(tempoBpm) {
      if (!setup) return;
      setup = { ...setup, settings: { ...setup.settings, tempoBpm } };
      const { pulse } = metronome;
      if (!pulse || exercise) return;
      // The next beat stays where it is; the ones after it come at the new distance.
      const passed = Math.ceil((desk.now() - pulse.zeroSeconds) / pulse.secondsPerBeat);
      const next = pulse.zeroSeconds + passed * pulse.secondsPerBeat;
      startPulse(next - passed * (60 / tempoBpm));
    },
  };
}
