import { expect, it } from 'vitest';
import { soundKind } from './soundKind.ts';

const bytes = (...parts: (string | number[])[]) =>
  Uint8Array.from(
    parts.flatMap((part) => (typeof part === 'string' ? [...Buffer.from(part, 'latin1')] : part)),
  );
/** A WAV whose format says this coding, with a chunk before it. */
const wav = (coding: number, real?: number) =>
  bytes(
    'RIFF',
    [0, 0, 0, 0],
    'WAVE',
    'bext',
    [3, 0, 0, 0, 1, 2, 3, 0],
    'fmt ',
    [real === undefined ? 16 : 40, 0, 0, 0],
    [coding & 255, coding >> 8, 1, 0, 0x80, 0xbb, 0, 0, 0, 0, 0, 0, 2, 0, 16, 0],
    real === undefined ? [] : [22, 0, 16, 0, 0, 0, 0, 0, real, 0, ...Array<number>(14).fill(0)],
    'data',
    [0, 0, 0, 0],
  );

it.each([
  ['PCM', wav(1), 'wav'],
  ['float', wav(3), 'wav'],
  ['extensible PCM', wav(0xfffe, 1), 'wav'],
  ['mu-law', wav(7), 'codedWav'],
  ['ADPCM', wav(2), 'codedWav'],
  ['MP3 in a WAV', wav(0x55), 'codedWav'],
  ['extensible mu-law', wav(0xfffe, 7), 'codedWav'],
  ['a WAV without a format', bytes('RIFF', [0, 0, 0, 0], 'WAVE'), 'wav'],
  ['RF64', bytes('RF64', [255, 255, 255, 255], 'WAVE'), 'wav'],
  ['MP3 with a tag', bytes('ID3', [4, 0]), 'mp3'],
  ['MP3 without', bytes([0xff, 0xfb, 0x90, 0x64]), 'mp3'],
  ['FLAC', bytes('fLaC'), 'flac'],
  ['Ogg', bytes('OggS'), 'ogg'],
  ['M4A', bytes([0, 0, 0, 32], 'ftypM4A '), 'mp4'],
  ['AIFF', bytes('FORM', [0, 0, 0, 0], 'AIFF'), 'aiff'],
  ['AIFC', bytes('FORM', [0, 0, 0, 0], 'AIFC'), 'aiff'],
  ['CAF', bytes('caff', [0, 1, 0, 0]), 'caf'],
  ['WMA', bytes([0x30, 0x26, 0xb2, 0x75, 0x8e, 0x66]), 'wma'],
  ['WebM', bytes([0x1a, 0x45, 0xdf, 0xa3]), 'webm'],
  ['AMR', bytes('#!AMR\n'), 'amr'],
  ['text', bytes('hello, this is text'), 'unknown'],
  ['nothing', bytes(), 'unknown'],
] as const)('%s is known by its first bytes', (_, file, kind) => {
  expect(soundKind(file)).toBe(kind);
});
