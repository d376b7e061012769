import type { FrameTrack } from '../hearing/index.ts';
import { percentile } from '../stats/index.ts';
import { hasAutomaticGain } from './automaticGain.ts';
import { CUT_DB, firstSound } from './noiseGate.ts';

/** What a few seconds of an input say of it: a note, and some quiet after it. */
export interface InputCheck {
  /** dBFS; null where hardly a frame was heard. */
  loudDb: number | null;
  noiseDb: number | null;
  /** Whether a pitch was heard. */
  hasTone: boolean;
  faults: InputFault[];
}

export type InputFault = 'silent' | 'tooLoud' | 'tooSoft' | 'noisy' | 'suppression' | 'gain';

const SILENT_DB = -85;
const TOO_LOUD_DB = -4;
const TOO_SOFT_DB = -50;
/** Under a tone there is to be so much room for soft notes. */
const LEAST_ROOM_DB = 25;
/** Before anything arrives frames are empty. */
const LEAST_FRAMES = 50;
const TONE_FRAMES = 20;

/** Judges an input by what was heard of it in a few seconds: level, noise, and what a computer did to it. */
export function checkInput(track: FrameTrack): InputCheck {
  const { levelDb, f0Hz } = track.columns;
  const from = firstSound(track);
  const levels = levelDb.subarray(from, track.count);
  if (levels.length < LEAST_FRAMES)
    return { loudDb: null, noiseDb: null, hasTone: false, faults: ['silent'] };
  const pitched = Array.from(f0Hz.subarray(from, track.count)).filter((hz) => !Number.isNaN(hz)).length;
  const hasTone = pitched >= TONE_FRAMES;
  const loudDb = percentile(levels, 98);
  const noiseDb = percentile(levels, 5);
  if (loudDb === null || noiseDb === null || loudDb < SILENT_DB)
    return { loudDb, noiseDb, hasTone, faults: ['silent'] };
  const isCut = noiseDb < CUT_DB;
  const faults: InputFault[] = [
    ...(loudDb > TOO_LOUD_DB ? (['tooLoud'] as const) : []),
    ...(hasTone && loudDb < TOO_SOFT_DB ? (['tooSoft'] as const) : []),
    ...(isCut ? (['suppression'] as const) : []),
    ...(hasTone && !isCut && loudDb - noiseDb < LEAST_ROOM_DB ? (['noisy'] as const) : []),
    ...(hasAutomaticGain(track) ? (['gain'] as const) : []),
  ];
  return { loudDb, noiseDb, hasTone, faults };
}
