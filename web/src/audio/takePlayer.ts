/** Plays one kept take; `positionSeconds` follows the sound. */
export interface TakePlayer {
  /** To the end, or for so many seconds. */
  play(fromSeconds: number, forSeconds?: number): void;
  pause(): void;
  readonly playing: boolean;
  positionSeconds(): number;
  close(): void;
}

/** Leaves room above so that a soft take is heard without touching the volume; never above full scale. */
const TARGET_PEAK = 0.7;
const MAX_GAIN = 8;

/** Power that takes are brought to where they are compared, and how loud a part of a take must be to count. */
const MATCHED_RMS = 0.08;
const BLOCK_SECONDS = 0.05;

/** What brings the louder half of a sound to one power, whatever its peaks are; never over full scale. */
function matchingGain(samples: Float32Array, sampleRateHz: number, peak: number): number {
  const block = Math.max(1, Math.round(BLOCK_SECONDS * sampleRateHz));
  const powers: number[] = [];
  for (let n = 0; n + block <= samples.length; n += block) {
    let sum = 0;
    for (let i = n; i < n + block; i++) sum += samples[i] * samples[i];
    powers.push(sum / block);
  }
  const louder = powers.toSorted((a, b) => b - a).slice(0, Math.ceil(powers.length / 2));
  const rms = Math.sqrt(louder.reduce((sum, power) => sum + power, 0) / Math.max(1, louder.length));
  return Math.min(MATCHED_RMS / Math.max(rms, 1e-4), 1 / peak);
}

/** `loudness` 1 brings the loudest moment to the same level in every take; less is softer. `matched`: to the same power instead, to be compared by ear. */
export function createTakePlayer(
  samples: Float32Array<ArrayBuffer>,
  sampleRateHz: number,
  onEnd: () => void,
  loudness = 1,
  matched = false,
): TakePlayer {
  const context = new AudioContext();
  const buffer = context.createBuffer(1, Math.max(1, samples.length), sampleRateHz);
  buffer.copyToChannel(samples, 0);
  const peak = samples.reduce((most, sample) => Math.max(most, Math.abs(sample)), 1e-4);
  const gain = context.createGain();
  gain.gain.value = matched
    ? matchingGain(samples, sampleRateHz, peak)
    : loudness * Math.min(MAX_GAIN, TARGET_PEAK / peak);
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
    play(fromSeconds, forSeconds) {
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
      source.start(0, offset, forSeconds);
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
