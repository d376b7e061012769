import { MPEGDecoder } from 'mpg123-decoder';
import { readdirSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { describeNote, type SampledNote } from './sampledNote.ts';

const PITCH_CLASSES = ['C', 'Cs', 'D', 'Ds', 'E', 'F', 'Fs', 'G', 'Gs', 'A', 'As', 'B'];

/** All notes of the package of recorded saxophone notes, the lowest first. */
export async function readRecordedNotes(): Promise<SampledNote[]> {
  const folder = dirname(createRequire(import.meta.url).resolve('tonejs-instrument-saxophone-mp3'));
  const decoder = new MPEGDecoder();
  await decoder.ready;
  const notes: SampledNote[] = [];
  for (const file of readdirSync(folder)) {
    const [, name, octave] = /^([A-G]s?)(\d)\.mp3$/.exec(file) ?? [];
    if (!name) continue;
    const { channelData, sampleRate } = decoder.decode(readFileSync(join(folder, file)));
    await decoder.reset();
    const samples = channelData[0].map((value, n) => (value + (channelData.at(1)?.[n] ?? value)) / 2);
    notes.push(describeNote(12 * (Number(octave) + 1) + PITCH_CLASSES.indexOf(name), samples, sampleRate));
  }
  decoder.free();
  return notes.toSorted((a, b) => a.midi - b.midi);
}
