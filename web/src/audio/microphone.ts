/** Why there is no microphone, or what is wrong with the one there is. */
export type MicrophoneTrouble = 'micRefused' | 'micAbsent' | 'micBusy' | 'micUnsupported';

export interface Microphone {
  stream: MediaStream;
  /** Processing that the browser kept although it was asked not to. */
  keptProcessing: string[];
  /** Rate of the device itself where the browser tells it; headsets often have 8 or 16 kHz. */
  deviceRateHz: number | null;
  /** The one that was asked for is not there: another was opened. */
  isOther: boolean;
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

/** A microphone that is not plugged in, by its id. */
const NOT_THERE = new Set(['OverconstrainedError', 'NotFoundError']);

/**
 * Opens a microphone (null: the default one) with all processing off and reads back what the browser made of it. Where the one that is asked
 * for is not there, the default one.
 */
export async function openMicrophone(deviceId: string | null): Promise<Microphone | MicrophoneTrouble> {
  // Absent on pages that are not served from this machine or over https.
  if (!('mediaDevices' in navigator)) return 'micUnsupported';
  try {
    const { stream, isOther } = await streamOf(deviceId);
    const settings = stream.getAudioTracks()[0].getSettings();
    return {
      stream,
      keptProcessing: PROCESSING.filter((name) => settings[name] === true),
      deviceRateHz: settings.sampleRate ?? null,
      isOther,
    };
  } catch (error) {
    return TROUBLES[error instanceof DOMException ? error.name : ''] ?? 'micBusy';
  }
}

async function streamOf(deviceId: string | null): Promise<Pick<Microphone, 'stream' | 'isOther'>> {
  const audio = {
    echoCancellation: false,
    noiseSuppression: false,
    autoGainControl: false,
    channelCount: 1,
  };
  const open = (constraints: MediaTrackConstraints) =>
    navigator.mediaDevices.getUserMedia({ audio: constraints });
  if (deviceId === null) return { stream: await open(audio), isOther: false };
  try {
    return { stream: await open({ ...audio, deviceId: { exact: deviceId } }), isOther: false };
  } catch (error) {
    if (!(error instanceof DOMException) || !NOT_THERE.has(error.name)) throw error;
    return { stream: await open(audio), isOther: true };
  }
}

/** A microphone by the name that the system gives it. */
export interface MicrophoneName {
  id: string;
  name: string;
}

/** The microphones that can be chosen; without names, and so none, until the browser was once allowed to use one. */
export async function listMicrophones(): Promise<MicrophoneName[]> {
  if (!('mediaDevices' in navigator)) return [];
  const devices = await navigator.mediaDevices.enumerateDevices();
  return devices
    .filter(({ kind, deviceId, label }) => kind === 'audioinput' && label !== '' && deviceId !== 'default')
    .map(({ deviceId, label }) => ({ id: deviceId, name: label }));
}
