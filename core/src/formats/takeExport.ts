import { strToU8, zipSync } from 'fflate';
import type { HornId } from '../horn/index.ts';
import type { PitchGuess, TakeAnalysis, TakeContext } from '../judge/index.ts';
import type { FrameRow } from './frameRows.ts';
import { encodeWav, type Sound } from './wav.ts';

/** The JSON that travels with a take's sound. Units are in the names; absent frame values are null. */
export interface TakeDocument {
  format: 'inner-hum-take';
  version: 2;
  startedAt: string;
  source: string;
  sampleRateHz: number;
  hornId: HornId;
  a4Hz: number;
  /** Null for free playing. */
  context: TakeContext | null;
  analysis: TakeAnalysis | null;
  clickSeconds: number[];
  playerNote: string;
  /** What the player called before a blind take was shown. */
  call: PitchGuess | null;
  frames: FrameRow[];
}

/** One take as a ZIP of `NAME.wav` (32-bit float, sample for sample) and `NAME.json`. */
export async function packTake(
  name: string,
  document: TakeDocument,
  sound: Sound,
): Promise<Uint8Array<ArrayBuffer>> {
  return zipSync(
    {
      [`${name}.wav`]: await encodeWav(sound),
      [`${name}.json`]: strToU8(`${JSON.stringify(document)}\n`),
    },
    { level: 6 },
  );
}
