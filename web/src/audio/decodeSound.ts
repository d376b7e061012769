export interface DecodedSound {
  samples: Float32Array<ArrayBuffer>;
  sampleRateHz: number;
}

const RATE_HZ = 48000;

/** Any sound the browser can read, as one channel at 48 kHz; null where it cannot. */
export async function decodeSound(bytes: ArrayBuffer): Promise<DecodedSound | null> {
  const context = new OfflineAudioContext(1, 1, RATE_HZ);
  try {
    const buffer = await context.decodeAudioData(bytes);
    const samples = new Float32Array(buffer.length);
    for (let channel = 0; channel < buffer.numberOfChannels; channel++) {
      const data = buffer.getChannelData(channel);
      for (let n = 0; n < samples.length; n++) samples[n] += data[n] / buffer.numberOfChannels;
    }
    return samples.every(Number.isFinite) && samples.length > 0 ? { samples, sampleRateHz: RATE_HZ } : null;
  } catch {
    return null;
  }
}
