/** Why there is no microphone, or what is wrong with the one there is. */
export type MicrophoneTrouble = 'micRefused' | 'micAbsent' | 'micBusy' | 'micUnsupported';

export interface Microphone {
  stream: MediaStream;
  /** Processing that the browser kept although it was asked not to. */
  keptProcessing: string[];
  /** Rate of the device itself where the browser tells it; headsets often have 8 or 16 kHz. */
  deviceRateHz: number | null;
}

const PROCESSING = ['echoCancellation', 'noiseSuppression', 'autoGainControl'] as const;

const TROUBLES: Record<string, MicrophoneTrouble> = {
  NotAllowedError: 'micRefused',
  SecurityError: 'micRefused',
  NotFoundError: 'micAbsent',
  OverconstrainedError: 'micAbsent',
  NotReadableError: 'micBusy',
  AbortError: 'micBusy',
};

/** Opens the default microphone with all processing off and reads back what the browser made of it. */
export async function openMicrophone(): Promise<Microphone | MicrophoneTrouble> {
  // Absent on pages that are not served from this machine or over https.
  if (!('mediaDevices' in navigator)) return 'micUnsupported';
  try {
    const stream = await navigator.mediaDevices.getUserMedia({
      audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false, channelCount: 1 },
    });
    const settings = stream.getAudioTracks()[0].getSettings();
    return {
      stream,
      keptProcessing: PROCESSING.filter((name) => settings[name] === true),
      deviceRateHz: settings.sampleRate ?? null,
    };
  } catch (error) {
    return TROUBLES[error instanceof DOMException ? error.name : ''] ?? 'micBusy';
  }
}
