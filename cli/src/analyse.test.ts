import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { DEFAULT_SCALE, familyById } from '@inner-hum/core/exercise';
import { encodeWav } from '@inner-hum/core/formats';
import { hornById } from '@inner-hum/core/horn';
import { playExercise, STEADY_HAND } from '@inner-hum/core/simulated';
import { readOptions } from './options.ts';
import { runCommand } from './runCommand.ts';
import type { FileAnalysis } from './analyseFile.ts';

const folder = mkdtempSync(join(tmpdir(), 'inner-hum-'));
const command = join(import.meta.dirname, '../../scripts/analyse.mjs');

const lines = (text: string) => (text === '' ? [] : text.trim().split('\n'));

function analyse(...args: string[]) {
  let said = '';
  let complained = '';
  const status = runCommand(args, folder, {
    say: (text) => (said += text),
    complain: (line) => (complained += `${line}\n`),
  });
  return { status, said: lines(said), complained: lines(complained) };
}

/** As it is typed. */
function typed(...args: string[]) {
  const { status, stdout, stderr } = spawnSync(process.execPath, [command, ...args], {
    cwd: folder,
    env: { ...process.env, INIT_CWD: folder },
    encoding: 'utf8',
  });
  return { status, said: lines(stdout), complained: lines(stderr) };
}

/** One of several sines: [seconds, Hz, amplitude] in turn. */
async function wav(
  name: string,
  parts: [seconds: number, hz: number, amplitude: number][],
  rate = 44100,
  depth: 16 | 32 = 16,
): Promise<string> {
  const samples = parts.flatMap(([seconds, hz, amplitude]) =>
    Array.from(
      { length: Math.round(seconds * rate) },
      (_, n) => amplitude * Math.sin((2 * Math.PI * hz * n) / rate),
    ),
  );
  const bytes = await encodeWav({ sampleRateHz: rate, samples: Float32Array.from(samples) }, depth);
  writeFileSync(join(folder, name), bytes);
  return name;
}

const json = (lines: string[]) => lines.map((line) => JSON.parse(line) as FileAnalysis);

describe('the readable summary', () => {
  it('says what it hears in each file, and goes on past every kind of bad one', async () => {
    // 10 cents over sounding C5 is written D6 on the tenor.
    const note = await wav('note.wav', [[1, 523.25 * 2 ** (10 / 1200), 0.1]]);
    const silence = await wav('silence.wav', [[1, 440, 0]]);
    const poisoned = await wav('nan.wav', [[1, NaN, 0.1]], 44100, 32);
    writeFileSync(join(folder, 'text.wav'), 'RIFF but no more');
    writeFileSync(join(folder, 'empty.wav'), '');
    const { status, said, complained } = analyse(
      ...[note, 'text.wav', 'empty.wav', poisoned, 'absent.wav', '.', silence, '--horn', 'tenor'],
    );
    expect(status).toBe(2);
    expect(said[0]).toBe('note.wav: 1.00 s at 44100 Hz, 1 note of tenor');
    expect(said[1]).toMatch(
      /0\.0\d-(0\.9\d|1\.00) s, written D6, 52\d\.\d\d Hz, \+(9\.9|10\.0|10\.1) cents .*-23\.0 dBFS/,
    );
    expect(said[2]).toBe('silence.wav: 1.00 s at 44100 Hz, no tone');
    expect(complained).toEqual([
      expect.stringMatching(/^text\.wav: This is no WAV file/),
      'empty.wav: The file is empty.',
      expect.stringMatching(/^nan\.wav: The WAV file holds a sample that is no number/),
      'absent.wav: There is no such file.',
      '.: This is a folder, not a file.',
    ]);
  });

  it('explains itself when asked for what it has not', () => {
    const { status, said, complained } = typed('--horn', 'kazoo', 'x.wav');
    expect([status, said]).toEqual([2, []]);
    expect(complained[0]).toBe('No such horn: kazoo.');
    expect(complained[1]).toMatch(/^Usage: .*baritone/);
    const refused = [
      ['x', '--a4', '200'],
      ['x', '--note', 'H3'],
      ['x', '--csv', '--json'],
      ['x', '--tsv'],
      ['x', '--first-beat', '2'],
      ['x', '--exercise', 'e.json', '--scale', '-16,-46'],
      ['x', '--exercise', 'e.json', '--first-beat', 'two'],
      ['x', '--exercise', 'e.json', '--note', 'Bb3'],
      [],
    ];
    for (const args of refused) expect(readOptions(args)).toEqual(expect.any(String));
    expect(readOptions(['x', '--note', 'Bb3'])).toMatchObject({ context: { fingered: 58 } });
  });
});

describe('JSON', () => {
  it('hears a slurred line note by note at every usual rate, in files of both depths', async () => {
    const rates = [8000, 11025, 16000, 22050, 32000, 44100, 48000, 88200, 96000, 192000];
    // A4, B4 5 cents flat, E5 20 dB louder: on the alto written F#5, G#5, C#6.
    const line: [number, number, number][] = [
      [0.8, 440, 0.05],
      [0.8, 493.88 * 2 ** (-5 / 1200), 0.05],
      [0.8, 659.26, 0.5],
    ];
    const files = await Promise.all(
      rates.flatMap((rate) =>
        ([16, 32] as const).map((depth) => wav(`${rate}-${depth}.wav`, line, rate, depth)),
      ),
    );
    const { status, said, complained } = analyse('--json', ...files);
    expect([status, complained]).toEqual([0, []]);
    const analyses = json(said);
    expect(analyses.map(({ file }) => file)).toEqual(files);
    for (const { sampleRateHz, frames, notes, events } of analyses) {
      expect(frames.map(({ timeSeconds }) => timeSeconds)).toEqual(frames.map((_, i) => i / 100));
      expect(frames.length, `${sampleRateHz}`).toBe(241);
      expect(notes.map(({ writtenMidi }) => writtenMidi)).toEqual([78, 80, 85]);
      expect(notes[1].measures.centsMean).toBeCloseTo(-5, 0);
      expect(notes[1].startSeconds).toBeGreaterThan(0.76);
      expect(notes[1].startSeconds).toBeLessThan(0.86);
      // -26.02 - 3.01 dBFS for a sine of amplitude 0.05.
      expect(Math.abs((notes[0].measures.levelDb ?? 0) + 29.03)).toBeLessThan(0.3);
      expect(Math.abs((notes[2].measures.stepDb ?? 0) - 20)).toBeLessThan(0.3);
      expect(events.filter(({ type }) => type === 'toneOnset')).toHaveLength(3);
      expect(frames[100].partial).toBeNull();
    }
  });

  it('knows partials and jumps where the fingering is told', async () => {
    // Written G4 on the alto is 233.08 Hz; its octave is the second partial of the same tube.
    const jump = await wav('jump.wav', [
      [0.8, 233.08, 0.1],
      [0.3, 466.16, 0.1],
      [0.8, 233.08, 0.1],
    ]);
    const [told] = json(analyse('--json', jump, '--note', 'G4').said);
    expect([told.frames[40].partial, told.frames[95].partial]).toEqual([1, 2]);
    expect(told.notes).toHaveLength(1);
    expect(told.events.find(({ type }) => type === 'jump')).toMatchObject({ from: 1, to: 2 });
    const [untold] = json(analyse('--json', jump).said);
    expect(untold.notes.map(({ writtenMidi }) => writtenMidi)).toEqual([67, 79, 67]);
  });
});

it('writes one CSV table over all files', async () => {
  const files = [await wav('a.wav', [[0.5, 440, 0.1]]), await wav('b, c.wav', [[0.5, 440, 0.1]])];
  const { status, said } = analyse('--csv', ...files);
  expect(status).toBe(0);
  expect(said[0]).toMatch(/^file,timeSeconds,f0Hz,.*,partial,airDb,unaidedHz,partial1Db,.*,partial16Db$/);
  expect(said).toHaveLength(1 + 2 * 51);
  expect(said[26]).toMatch(/^a\.wav,0\.25,(440|439\.99\d*|440\.00\d*),/);
  expect(said[80]).toMatch(/^"b, c\.wav",0\.28,/);
});

it('judges a recording item by item against an exercise, and names the place of what is wrong in one', async () => {
  const family = familyById('breakDrill');
  if (!family) throw new Error('no such family');
  const exercise = family.build(hornById('alto'), { tempoBpm: 120 });
  writeFileSync(join(folder, 'break.json'), JSON.stringify(exercise));
  // Of the nine notes of its four phrases the fifth, the D5 after F5 and E5, is missed.
  const played = playExercise({
    exercise,
    hornId: 'alto',
    a4Hz: 440,
    scale: DEFAULT_SCALE,
    profile: STEADY_HAND,
    faults: [{ item: 4, kind: 'missed' }],
    sampleRateHz: 24000,
    seed: 3,
    leadSeconds: 2,
    tailSeconds: 0.5,
  });
  writeFileSync(join(folder, 'break.wav'), await encodeWav({ sampleRateHz: 24000, samples: played.samples }));
  const args = ['break.wav', '--horn', 'alto', '--exercise', 'break.json', '--first-beat', '2.0'];
  const { said, complained } = analyse(...args, '--scale', '-46,-16', '--json');
  expect(complained).toEqual([]);
  const [{ items = [], measures, verdict }] = json(said);
  const notes = items.filter((item) => item.kind === 'note');
  expect(notes.map(({ status }) => status === 'played')).toEqual(notes.map(({ item }) => item !== 4));
  expect(notes).toHaveLength(9);
  expect(verdict).toMatchObject({ findings: [{ kind: 'missed' }], of: [4] });
  expect(measures).toMatchObject({ holdCause: 'completed' });
  expect(analyse(...args).said.filter((line) => line.includes('item 5'))).toEqual([
    '  item 5, note D5, missed',
  ]);

  writeFileSync(join(folder, 'bad.json'), JSON.stringify({ ...exercise, tempoBpm: 7 }));
  const bad = analyse('break.wav', '--exercise', 'bad.json', '--json');
  expect([bad.status, bad.said]).toEqual([2, []]);
  expect(bad.complained[0]).toMatch(/^bad\.json: .*tempoBpm/);
});
