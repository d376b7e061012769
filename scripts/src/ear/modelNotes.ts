import { decodeWav } from '@inner-hum/core/formats';
import { execFileSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describeNote, type SampledNote } from './sampledNote.ts';

const PROGRAM = '/usr/bin/stk-demo';
/** The model seeds its breath noise from the clock in whole seconds: with the clock held it plays the same again. */
const HELD_CLOCK = '/usr/bin/faketime';
const RATE_HZ = 48000;
/** From the lowest note of a baritone to high on a soprano. */
const [LOWEST, HIGHEST] = [37, 84];
const SECONDS = 4;
/** Breath pressure (controller 128): the tone stands from 80 to 100; over 110 it goes up to the twelfth. */
const BREATH = 86;

/** Plays a score of the synthesis toolkit's reed and bore; one line an event. The same score gives the same samples. */
export function renderModel(
  lines: readonly string[],
  rateHz = RATE_HZ,
): { samples: Float32Array<ArrayBuffer>; sampleRateHz: number } {
  const folder = mkdtempSync(join(tmpdir(), 'reed-model-'));
  const [score, wav] = [join(folder, 'score.ski'), join(folder, 'score.wav')];
  writeFileSync(score, `${lines.join('\n')}\n`);
  const clock = ['-f', '@2000-01-01 00:00:01'];
  const play = [PROGRAM, 'Saxofony', '-s', `${rateHz}`, '-ow', wav, '-if', score];
  execFileSync(HELD_CLOCK, [...clock, ...play], { stdio: 'ignore' });
  const { samples, sampleRateHz } = decodeWav(readFileSync(wav));
  rmSync(folder, { recursive: true });
  return { samples, sampleRateHz };
}

/** A note that overblows by itself now and then is no note to be judged by. */
const OWN = 0.99;

/** Whether the physical model of reed and bore, which none of us wrote, is installed, and what holds its clock. */
export const hasModel = () => existsSync(PROGRAM) && existsSync(HELD_CLOCK);

/** Steady notes of that model. */
export function renderModelNotes(): SampledNote[] {
  return Array.from({ length: HIGHEST - LOWEST + 1 }, (_, i) => {
    const midi = LOWEST + i;
    const { samples, sampleRateHz } = renderModel([
      'ControlChange 0.0 1 128 0.0',
      `NoteOn 0.1 1 ${midi} 80`,
      `ControlChange 0.0 1 128 ${BREATH}.0`,
      `NoteOff ${SECONDS} 1 ${midi} 64`,
      'ExitProgram 0.2 1 0 0',
    ]);
    return describeNote(midi, samples, sampleRateHz);
  }).filter(({ ownShare }) => ownShare >= OWN);
}
