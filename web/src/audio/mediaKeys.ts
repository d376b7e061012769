/** What the keyboard's, headset's or lock screen's keys do to the sound that is listened to. */
export interface MediaKeyActions {
  play(): void;
  pause(): void;
  /** By so many seconds, back where it is negative. */
  seek(bySeconds: number): void;
}

const SEEK_SECONDS = 5;
/** Browsers give their media keys only to an element that plays for longer than a notice would. */
const SILENCE_SECONDS = 10;
const RATE_HZ = 8000;

/** Seconds of silence as a WAV of 8 bits, in which 128 is no pressure. */
function silence(): Blob {
  const length = SILENCE_SECONDS * RATE_HZ;
  const wav = new DataView(new ArrayBuffer(44 + length));
  const write = (at: number, text: string) =>
    [...text].forEach((letter, i) => wav.setUint8(at + i, letter.charCodeAt(0)));
  write(0, 'RIFF');
  wav.setUint32(4, 36 + length, true);
  write(8, 'WAVEfmt ');
  wav.setUint32(16, 16, true);
  wav.setUint16(20, 1, true);
  wav.setUint16(22, 1, true);
  wav.setUint32(24, RATE_HZ, true);
  wav.setUint32(28, RATE_HZ, true);
  wav.setUint16(32, 1, true);
  wav.setUint16(34, 8, true);
  write(36, 'data');
  wav.setUint32(40, length, true);
  for (let i = 0; i < length; i++) wav.setUint8(44 + i, 128);
  return new Blob([wav.buffer], { type: 'audio/wav' });
}

export interface MediaKeys {
  /** The sound plays, or stands still. */
  show(playing: boolean): void;
  release(): void;
}

/** Has the system's media keys act on a sound, under its name, until they are let go. Where a system has none, nothing happens. */
export function holdMediaKeys(title: string, actions: MediaKeyActions): MediaKeys {
  if (!('mediaSession' in navigator)) return { show: () => undefined, release: () => undefined };
  const session = navigator.mediaSession;
  const url = URL.createObjectURL(silence());
  const holder = new Audio(url);
  holder.loop = true;
  session.metadata = new MediaMetadata({ title, artist: 'Inner Hum' });
  const handlers: [MediaSessionAction, () => void][] = [
    ['play', () => actions.play()],
    ['pause', () => actions.pause()],
    ['stop', () => actions.pause()],
    ['seekbackward', () => actions.seek(-SEEK_SECONDS)],
    ['seekforward', () => actions.seek(SEEK_SECONDS)],
  ];
  for (const [action, handler] of handlers) session.setActionHandler(action, handler);
  return {
    show(playing) {
      session.playbackState = playing ? 'playing' : 'paused';
      // Refused where the page was never touched: then there are no keys to hold either.
      if (playing) void holder.play().catch(() => undefined);
      else holder.pause();
    },
    release() {
      holder.pause();
      URL.revokeObjectURL(url);
      for (const [action] of handlers) session.setActionHandler(action, null);
      session.metadata = null;
      session.playbackState = 'none';
    },
  };
}
