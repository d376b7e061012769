import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { encodeWav } from '@inner-hum/core/formats';

const folder = mkdtempSync(join(tmpdir(), 'inner-hum-'));

function analyse(...args: string[]) {
  const { status, stdout, stderr } = spawnSync(
    process.execPath,
    ['--import', 'tsx', join(import.meta.dirname, 'analyse.ts'), ...args],
    { encoding: 'utf8' },
  );
  return { status, said: stdout.trim().split('\n'), complained: stderr };
}

function wav(name: string, hz: number, amplitude: number): string {
  const samples = Float32Array.from(
    { length: 44100 },
    (_, n) => amplitude * Math.sin((2 * Math.PI * hz * n) / 44100),
  );
  const path = join(folder, name);
  writeFileSync(path, encodeWav({ sampleRateHz: 44100, samples }, '16'));
  return path;
}

it('says what it hears in each file, and goes on past one that is no WAV', () => {
  // 10 cents over sounding C5 is written D5 on the tenor an octave lower: C5 + 14 semitones = D6.
  const note = wav('note.wav', 523.25 * 2 ** (10 / 1200), 0.1);
  const broken = join(folder, 'broken.wav');
  writeFileSync(broken, 'RIFF but no more');
  const silence = wav('silence.wav', 440, 0);
  const { status, said, complained } = analyse(note, broken, silence, '--horn', 'tenor');
  expect(status).toBe(2);
  expect(said[0]).toMatch(
    /written D 6, 0\.0\d-(0\.9\d|1\.00) s, 52\d\.\d\d Hz, \+(9\.9|10\.0|10\.1) cents, -23\.0 dBFS$/,
  );
  expect(said[1]).toBe(`${silence}: no tone`);
  expect(complained).toContain(`${broken}: Not a readable WAV file`);
});

it('explains itself when asked for what it has not', () => {
  const { status, complained } = analyse('--horn', 'kazoo', 'x.wav');
  expect(status).toBe(2);
  expect(complained).toMatch(/^Usage: .*baritone/);
});
