import { encodeFlac } from '@inner-hum/core/formats';
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { renderModel } from './modelNotes.ts';

/** Sound of the physical model is kept at this rate and in steps so coarse that it is small; the model's own noise lies over them. */
const STEP = 2 ** -10;
const RATE_HZ = 24000;
const FOLDER = join(import.meta.dirname, '../../../core/src/verdicts/model');

const breath = (seconds: number, pressure: number) =>
  `ControlChange ${seconds.toFixed(3)} 1 128 ${pressure.toFixed(1)}`;
/** From one breath pressure to another in so many seconds. */
const blow = (from: number, to: number, seconds: number) => {
  const steps = Math.round(20 * seconds);
  return Array.from({ length: steps }, (_, i) =>
    breath(seconds / steps, from + ((to - from) * (i + 1)) / steps),
  );
};
const on = (seconds: number, midi: number) => `NoteOn ${seconds.toFixed(3)} 1 ${midi.toFixed(2)} 80`;
/** Time runs at half its pace at this rate. */
const begin = (midi: number) => [breath(0, 0), on(0.4, midi)];
const end = (seconds: number) => [`NoteOff ${seconds.toFixed(3)} 1 58 64`, 'ExitProgram 0.4 1 0 0'];

/** Two notes of the alto's low register, E flat and G: the reed and bore hold the one, and leave the other for its octave by themselves. */
const [FLAT, G] = [54.08, 58.09];
const TAKES: Record<string, string[]> = {
  held: [...begin(FLAT), breath(0, 86), ...end(1.5)],
  twoNotes: [...begin(FLAT), breath(0, 86), on(1, FLAT - 2), ...end(1)],
  dies: [...begin(FLAT), breath(0, 86), ...blow(86, 45, 0.4).with(0, breath(0.8, 84)), ...end(0.8)],
  speaksLate: [...begin(FLAT), breath(0, 50), breath(0.5, 86), ...end(1.2)],
  leavesForTheOctave: [...begin(G), breath(0, 86), ...end(2)],
  blownHard: [...begin(G), breath(0, 127), ...end(1.5)],
};

/** Renders the takes that the verdicts' tests hear, and writes them as FLAC. With another release of the model rows may have to be looked at anew. */
export async function renderModelTakes(): Promise<void> {
  mkdirSync(FOLDER, { recursive: true });
  for (const [name, lines] of Object.entries(TAKES)) {
    const { samples, sampleRateHz } = renderModel(lines, RATE_HZ);
    const steps = samples.map((value) => Math.round(value / STEP) * STEP);
    const bytes = await encodeFlac({ sampleRateHz, samples: steps });
    if (!bytes) throw new Error(`${name} could not be written.`);
    writeFileSync(join(FOLDER, `${name}.flac`), bytes);
    console.log(`${name}: ${(samples.length / sampleRateHz).toFixed(1)} s, ${bytes.length} bytes`);
  }
}
