import captureUrl from './capture.worklet.ts?worker&url';
import { openMicrophone, type MicrophoneTrouble } from './microphone.ts';

export type InputTrouble =
  MicrophoneTrouble | 'micUnplugged' | 'micMuted' | 'deviceChanged' | 'suspended' | 'audioFailed';

/** Facts about an input that is open but not as good as it could be. */
export interface OpenInput {
  sampleRateHz: number;
  keptProcessing: string[];
  deviceRateHz: number | null;
}

/** The one AudioContext and what hangs on it. Made by a user's gesture, closed with the page. */
export interface AudioDesk {
  /** Opens the microphone or a silent stand-in input and lets its samples flow into `sink`. */
  open(source: 'microphone' | 'standIn', sink: MessagePort): Promise<OpenInput | InputTrouble>;
  /** Time of the audio clock in seconds. */
  now(): number;
  /** When a sound scheduled now is heard, after this many seconds. */
  outputLatencySeconds(): number;
  /** Wakes a suspended context; to be called from a gesture. */
  resume(): Promise<boolean>;
  /** Plays the stand-in's sound into the input, and softly to the room, from a time of the audio clock on. */
  playStandIn(samples: Float32Array<ArrayBuffer>, sampleRateHz: number, at: number, loop: boolean): void;
  stopStandIn(): void;
  /** For clicks and takes: the context and its way to the room. */
  output(): { context: AudioContext; room: AudioNode } | null;
}

const STAND_IN_ROOM_GAIN = 0.5;

export function createAudioDesk(onTrouble: (trouble: InputTrouble | null) => void): AudioDesk {
  let context: AudioContext | null = null;
  let ready: Promise<void> | null = null;
  let capture: AudioWorkletNode | null = null;
  let source: AudioNode | null = null;
  let stream: MediaStream | null = null;
  let standIn: AudioBufferSourceNode | null = null;

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
    stopStandIn();
    source?.disconnect();
    source = null;
    for (const track of stream?.getTracks() ?? []) {
      track.onended = null;
      track.onmute = null;
      track.stop();
    }
    stream = null;
    capture?.port.postMessage(null);
  }

  function stopStandIn() {
    standIn?.stop();
    standIn?.disconnect();
    standIn = null;
  }

  // Any touch wakes a context that the browser holds back.
  for (const gesture of ['pointerdown', 'keydown'] as const)
    document.addEventListener(gesture, () => {
      if (context?.state === 'suspended') void context.resume();
    });

  return {
    async open(kind, sink) {
      try {
        await start();
      } catch {
        ready = null;
        return 'audioFailed';
      }
      if (!context || !capture) return 'audioFailed';
      closeInput();
      const input: OpenInput = { sampleRateHz: context.sampleRate, keptProcessing: [], deviceRateHz: null };
      if (kind === 'microphone') {
        const microphone = await openMicrophone();
        if (typeof microphone === 'string') return microphone;
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
      }
      capture.port.postMessage(sink, [sink]);
      if (context.state !== 'running') {
        // Without a gesture the browser leaves this promise open: do not wait for it.
        void context.resume();
        await new Promise((resolve) => setTimeout(resolve, 300));
        if ((context.state as string) !== 'running') onTrouble('suspended');
      }
      return input;
    },
    now: () => context?.currentTime ?? 0,
    outputLatencySeconds: () => context?.outputLatency ?? 0,
    async resume() {
      if (!context) return false;
      await Promise.race([context.resume(), new Promise((resolve) => setTimeout(resolve, 500))]);
      return (context.state as string) === 'running';
    },
    playStandIn(samples, sampleRateHz, at, loop) {
      stopStandIn();
      if (!context || !capture) return;
      const buffer = context.createBuffer(1, samples.length, sampleRateHz);
      buffer.copyToChannel(samples, 0);
      standIn = context.createBufferSource();
      standIn.buffer = buffer;
      standIn.loop = loop;
      const room = context.createGain();
      room.gain.value = STAND_IN_ROOM_GAIN;
      standIn.connect(capture);
      standIn.connect(room).connect(context.destination);
      standIn.start(Math.max(at, context.currentTime));
    },
    stopStandIn,
    output: () => context && { context, room: context.destination },
  };
}
