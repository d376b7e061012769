import { FRAME_SECONDS } from '@inner-hum/core/hearing';
import captureUrl from './capture.worklet.ts?worker&url';
import type { Desk, DeskTrouble, OpenInput } from './desk.ts';
import { openMicrophone } from './microphone.ts';

const STAND_IN_ROOM_GAIN = 0.5;
/** Nothing can be begun sooner than this from now. */
const START_LEAD_SECONDS = 0.02;
const RESUME_MS = 500;
const WOKEN_MS = 300;

export interface RealDesk extends Desk {
  /** Lets go of its input; its clock runs on. */
  close(): void;
}

/** The one AudioContext and what hangs on it. Made by a user's gesture, closed with the page. */
export function createRealDesk(
  onTrouble: (trouble: DeskTrouble | null) => void,
  chosenMicrophone: () => Promise<string | null>,
): RealDesk {
  let context: AudioContext | null = null;
  let ready: Promise<void> | null = null;
  let capture: AudioWorkletNode | null = null;
  let source: AudioNode | null = null;
  let stream: MediaStream | null = null;
  let performing: AudioBufferSourceNode | null = null;
  /** Counts openings: a microphone that comes when another input was asked for goes again. */
  let openings = 0;

  function start(): Promise<void> {
    ready ??= (async () => {
      const made = new AudioContext({ latencyHint: 'interactive' });
      context = made;
      made.onstatechange = () => onTrouble(made.state === 'running' ? null : 'suspended');
      await made.audioWorklet.addModule(captureUrl);
      capture = new AudioWorkletNode(made, 'inner-hum-capture', { numberOfInputs: 1, numberOfOutputs: 1 });
      // Without a way out the node would not be asked for samples; its output is silence.
      capture.connect(made.destination);
    })();
    return ready;
  }

  function closeInput() {
    stopPerforming();
    source?.disconnect();
    source = null;
    if (stream) stopTracks(stream);
    stream = null;
    capture?.port.postMessage(null);
  }

  function stopPerforming() {
    if (!performing) return;
    performing.onended = null;
    performing.stop();
    performing.disconnect();
    performing = null;
  }

  // Any touch wakes a context that the browser holds back.
  for (const gesture of ['pointerdown', 'keydown'] as const)
    document.addEventListener(gesture, () => {
      if (context?.state === 'suspended') void context.resume();
    });

  return {
    now: () => context?.currentTime ?? 0,
    after(seconds, work) {
      const timer = setTimeout(work, 1000 * seconds);
      return () => clearTimeout(timer);
    },
    async open(kind, sink) {
      const opening = ++openings;
      try {
        await start();
      } catch {
        ready = null;
        return 'audioFailed';
      }
      if (!context || !capture) return 'audioFailed';
      closeInput();
      const input: OpenInput = {
        sampleRateHz: context.sampleRate,
        keptProcessing: [],
        deviceRateHz: null,
        isOther: false,
      };
      if (kind === 'microphone') {
        const microphone = await openMicrophone(await chosenMicrophone());
        if (typeof microphone === 'string') return microphone;
        if (opening !== openings) {
          stopTracks(microphone.stream);
          return 'micBusy';
        }
        stream = microphone.stream;
        const [track] = stream.getAudioTracks();
        track.onended = () => onTrouble('micUnplugged');
        track.onmute = () => onTrouble('micMuted');
        track.onunmute = () => onTrouble(null);
        navigator.mediaDevices.ondevicechange = () => onTrouble('deviceChanged');
        source = context.createMediaStreamSource(stream);
        source.connect(capture);
        input.keptProcessing = microphone.keptProcessing;
        input.deviceRateHz = microphone.deviceRateHz;
        input.isOther = microphone.isOther;
      }
      capture.port.postMessage(sink, [sink]);
      if (context.state !== 'running') {
        // Without a gesture the browser leaves this promise open: do not wait for it.
        void context.resume();
        await new Promise((resolve) => setTimeout(resolve, WOKEN_MS));
        if ((context.state as string) !== 'running') onTrouble('suspended');
      }
      return input;
    },
    perform({ samples, sampleRateHz, atSeconds, onOver }) {
      stopPerforming();
      if (!context || !capture) return;
      const buffer = context.createBuffer(1, samples.length, sampleRateHz);
      buffer.copyToChannel(samples, 0);
      const node = context.createBufferSource();
      node.buffer = buffer;
      node.loop = onOver === null;
      node.onended = onOver;
      const room = context.createGain();
      room.gain.value = STAND_IN_ROOM_GAIN;
      node.connect(capture);
      node.connect(room).connect(context.destination);
      // On a whole sample: between two of them it would be another sound. What comes too late is late by whole frames of the listener.
      const lateSeconds = Math.max(0, context.currentTime + START_LEAD_SECONDS - atSeconds);
      const at = atSeconds + Math.ceil(lateSeconds / FRAME_SECONDS) * FRAME_SECONDS;
      node.start(Math.round(at * sampleRateHz) / sampleRateHz);
      performing = node;
    },
    stopPerforming,
    // Real time cannot be hurried.
    hurry: () => undefined,
    outputLatencySeconds: () => context?.outputLatency ?? 0,
    output: () => context && { context, room: context.destination },
    async resume() {
      if (!context) return false;
      await Promise.race([context.resume(), new Promise((resolve) => setTimeout(resolve, RESUME_MS))]);
      return (context.state as string) === 'running';
    },
    close() {
      openings++;
      closeInput();
    },
  };
}

function stopTracks(stream: MediaStream): void {
  for (const track of stream.getTracks()) {
    track.onended = null;
    track.onmute = null;
    track.onunmute = null;
    track.stop();
  }
}
