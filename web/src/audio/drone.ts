import type { DeskOutput } from './desk.ts';
export type DroneTimbre = 'flute' | 'reed' | 'fifth';

/** Partials of each timbre: ratio to the drone's pitch, and amplitude. All of them soft-edged. */
const PARTIALS: Record<DroneTimbre, readonly (readonly [ratio: number, amplitude: number])[]> = {
  flute: [
    [1, 1],
    [2, 0.16],
    [3, 0.05],
  ],
  reed: [
    [1, 0.8],
    [2, 0.5],
    [3, 0.4],
    [4, 0.22],
    [5, 0.16],
    [6, 0.09],
  ],
  fifth: [
    [1, 0.9],
    [1.5, 0.45],
    [2, 0.2],
    [3, 0.1],
  ],
};

const GAIN = 0.12;
const FADE_SECONDS = 0.25;
const REFERENCE_FADE_SECONDS = 0.06;

export interface Drone {
  /** Sounds until it is told otherwise; another pitch or timbre takes its place without a hole. */
  sound(hz: number, timbre: DroneTimbre): void;
  stop(): void;
  /** Frequencies it is made of; empty where it is silent. */
  readonly partialsHz: readonly number[];
  /** One reference tone between two times of the audio clock. */
  refer(hz: number, fromSeconds: number, toSeconds: number): void;
  /** Stops reference tones that are due or sounding. */
  hush(): void;
}

interface Voice {
  gain: GainNode;
  oscillators: OscillatorNode[];
}

/** Gentle held tones for the ear to lean on. */
export function createDrone(output: () => DeskOutput | null): Drone {
  let playing: { voice: Voice; key: string; partialsHz: number[] } | null = null;
  let references: Voice[] = [];

  function makeVoice(context: AudioContext, room: AudioNode, hz: number, timbre: DroneTimbre): Voice {
    const gain = context.createGain();
    gain.gain.value = 0;
    gain.connect(room);
    const oscillators = PARTIALS[timbre].map(([ratio, amplitude]) => {
      const oscillator = context.createOscillator();
      oscillator.frequency.value = hz * ratio;
      const level = context.createGain();
      level.gain.value = amplitude;
      oscillator.connect(level).connect(gain);
      return oscillator;
    });
    return { gain, oscillators };
  }

  function end(
    { gain, oscillators }: Voice,
    context: BaseAudioContext,
    atSeconds: number,
    fadeSeconds: number,
  ) {
    gain.gain.setTargetAtTime(0, atSeconds, fadeSeconds / 3);
    for (const oscillator of oscillators)
      oscillator.stop(Math.max(context.currentTime, atSeconds) + 2 * fadeSeconds);
  }

  function stop() {
    const out = output();
    if (playing && out) end(playing.voice, out.context, out.context.currentTime, FADE_SECONDS);
    playing = null;
  }

  return {
    get partialsHz() {
      return playing?.partialsHz ?? [];
    },
    sound(hz, timbre) {
      const key = `${timbre} ${hz.toFixed(3)}`;
      const out = output();
      if (!out || playing?.key === key) return;
      stop();
      const { context, room } = out;
      const voice = makeVoice(context, room, hz, timbre);
      voice.gain.gain.setTargetAtTime(GAIN, context.currentTime, FADE_SECONDS / 3);
      for (const oscillator of voice.oscillators) oscillator.start();
      playing = { voice, key, partialsHz: PARTIALS[timbre].map(([ratio]) => hz * ratio) };
    },
    stop,
    refer(hz, fromSeconds, toSeconds) {
      const out = output();
      if (!out) return;
      const { context, room } = out;
      const voice = makeVoice(context, room, hz, 'flute');
      const start = Math.max(context.currentTime, fromSeconds);
      voice.gain.gain.setTargetAtTime(2 * GAIN, start, REFERENCE_FADE_SECONDS / 3);
      for (const oscillator of voice.oscillators) oscillator.start(start);
      end(voice, context, toSeconds - REFERENCE_FADE_SECONDS, REFERENCE_FADE_SECONDS);
      references.push(voice);
      voice.oscillators[0].onended = () => (references = references.filter((other) => other !== voice));
    },
    hush() {
      const out = output();
      for (const { gain, oscillators } of references) {
        gain.disconnect();
        for (const oscillator of oscillators) oscillator.stop(out?.context.currentTime);
      }
      references = [];
    },
  };
}
