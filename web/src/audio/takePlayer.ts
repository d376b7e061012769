/** Plays one kept take; `positionSeconds` follows the sound. */
export interface TakePlayer {
  play(fromSeconds: number): void;
  pause(): void;
  readonly playing: boolean;
  positionSeconds(): number;
  close(): void;
}

/** Leaves room above so that a soft take is heard without touching the volume; never above full scale. */
const TARGET_PEAK = 0.7;
const MAX_GAIN = 8;

/** `loudness` 1 brings the loudest moment to the same level in every take; less is softer. */
export function createTakePlayer(
  samples: Float32Array<ArrayBuffer>,
  sampleRateHz: number,
  onEnd: () => void,
  loudness = 1,
): TakePlayer {
  const context = new AudioContext();
  const buffer = context.createBuffer(1, Math.max(1, samples.length), sampleRateHz);
  buffer.copyToChannel(samples, 0);
  const peak = samples.reduce((most, sample) => Math.max(most, Math.abs(sample)), 1e-4);
  const gain = context.createGain();
  gain.gain.value = loudness * Math.min(MAX_GAIN, TARGET_PEAK / peak);
  gain.connect(context.destination);
  let source: AudioBufferSourceNode | null = null;
  let startedAt = 0;
  let offset = 0;

  function stop() {
    if (!source) return;
    source.onended = null;
    source.stop();
    source.disconnect();
    source = null;
  }

  const position = () =>
    source ? Math.min(buffer.duration, offset + context.currentTime - startedAt) : offset;

  return {
    get playing() {
      return source !== null;
    },
    play(fromSeconds) {
      stop();
      void context.resume();
      offset = Math.max(0, Math.min(fromSeconds, buffer.duration - 0.01));
      startedAt = context.currentTime;
      source = context.createBufferSource();
      source.buffer = buffer;
      source.connect(gain);
      source.onended = () => {
        source = null;
        offset = 0;
        onEnd();
      };
      source.start(0, offset);
    },
    pause() {
      offset = position();
      stop();
    },
    positionSeconds: position,
    close() {
      stop();
      void context.close();
    },
  };
}
