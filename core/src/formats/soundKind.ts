import { CoreError } from '../signal/index.ts';
import { readWavHeader } from './wavHeader.ts';

/** What a file of sound is, by its first bytes: its name may say anything. */
export type SoundKind =
  /** WAV as `decodeWav` reads it. */
  | 'wav'
  /** WAV in another coding (mu-law, ADPCM, MP3 inside): for the browser's decoder. */
  | 'codedWav'
  | 'mp3'
  | 'flac'
  | 'ogg'
  | 'mp4'
  | 'webm'
  | 'aiff'
  | 'caf'
  | 'wma'
  | 'amr'
  | 'unknown';

/** So many bytes are looked at. */
export const SOUND_KIND_BYTES = 4096;

const WMA = [0x30, 0x26, 0xb2, 0x75];
const WEBM = [0x1a, 0x45, 0xdf, 0xa3];

/** What the first bytes of a file (at least `SOUND_KIND_BYTES`, or all of it) say it is. */
export function soundKind(bytes: Uint8Array): SoundKind {
  const name = (at: number) => String.fromCharCode(...bytes.subarray(at, at + 4));
  const begins = (wanted: readonly number[]) => wanted.every((byte, i) => bytes[i] === byte);
  const head = name(0);
  if ((head === 'RIFF' || head === 'RF64') && name(8) === 'WAVE') return isPlain(bytes) ? 'wav' : 'codedWav';
  if (head === 'fLaC') return 'flac';
  if (head === 'OggS') return 'ogg';
  if (head === 'FORM' && /^AIF[FC]$/.test(name(8))) return 'aiff';
  if (head === 'caff') return 'caf';
  if (head === '#!AM') return 'amr';
  if (name(4) === 'ftyp') return 'mp4';
  if (begins(WMA)) return 'wma';
  if (begins(WEBM)) return 'webm';
  // A tag before the sound, or the eleven ones that every frame begins with.
  if (head.startsWith('ID3') || (bytes[0] === 0xff && (bytes[1] & 0xe0) === 0xe0)) return 'mp3';
  return 'unknown';
}

/** Whether a WAV needs no decoder; what else is wrong with it its reader says best, when it has all of it. */
function isPlain(bytes: Uint8Array): boolean {
  try {
    readWavHeader(bytes);
    return true;
  } catch (error) {
    return !(error instanceof CoreError && error.reason?.name === 'coding');
  }
}
