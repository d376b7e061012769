import { execFileSync } from 'node:child_process';
import { existsSync, mkdirSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { fileURLToPath } from 'node:url';
import { join } from 'node:path';
import { HIGHEST_HZ, PEER_WINDOW, trusted, windowEar, type Ear } from './ears.ts';
import { HOP_SECONDS } from './score.ts';

// Copyleft libraries that we only compare ourselves with: they live in a folder of their own, in no lockfile.
const FOLDER = fileURLToPath(new URL('../../../.bench-peers', import.meta.url));
const PACKAGES = ['pitchfinder@2.3.4', 'aubiojs@0.2.1', 'essentia.js@0.1.3'];

interface Pitchfinder {
  YIN(config: { sampleRate: number }): (window: Float32Array) => number | null;
}
interface Aubio {
  Pitch: new (
    method: string,
    window: number,
    hop: number,
    sampleRateHz: number,
  ) => { do(hop: Float32Array): number; delete(): void };
}
interface Vector {
  delete(): void;
}
interface Essentia {
  arrayToVector(samples: Float32Array): Vector;
  Windowing(frame: Vector, normalized: boolean, size: number, type: string): { frame: Vector };
  Spectrum(frame: Vector, size: number): { spectrum: Vector };
  PitchYinFFT(
    spectrum: Vector,
    frameSize: number,
    interpolate: boolean,
    maxHz: number,
    minHz: number,
    sampleRateHz: number,
  ): { pitch: number; pitchConfidence: number };
}

/** The general pitch libraries, installed if they are missing; none where that is not to be had (no network). */
export async function loadPeers(): Promise<Ear[]> {
  try {
    if (!existsSync(join(FOLDER, 'node_modules', 'essentia.js'))) {
      mkdirSync(FOLDER, { recursive: true });
      writeFileSync(join(FOLDER, 'package.json'), '{ "private": true }\n');
      execFileSync('npm', ['install', '--no-audit', '--no-fund', '--prefix', FOLDER, ...PACKAGES], {
        cwd: FOLDER,
        stdio: 'ignore',
      });
    }
    const load = createRequire(join(FOLDER, 'package.json'));
    const pitchfinder = load('pitchfinder') as Pitchfinder;
    const aubio = await (load('aubiojs') as () => Promise<Aubio>)();
    const { Essentia, EssentiaWASM } = load('essentia.js') as {
      Essentia: new (wasm: unknown) => Essentia;
      EssentiaWASM: unknown;
    };
    return [yin(pitchfinder), aubioEar(aubio), essentiaEar(new Essentia(EssentiaWASM))];
  } catch (error) {
    console.warn(`Not compared with pitchfinder, aubiojs, essentia.js: ${(error as Error).message}`);
    return [];
  }
}

/** Its other methods are slower (McLeod: twice real time) or coarser. */
const yin = ({ YIN }: Pitchfinder) =>
  windowEar('pitchfinder YIN', (sampleRateHz) => {
    const detect = YIN({ sampleRate: sampleRateHz });
    return (window) => trusted(detect(window) ?? 0, 1, 1);
  });

/** It takes the sound hop by hop: what it says after a hop belongs to the middle of its window before that. */
function aubioEar({ Pitch }: Aubio): Ear {
  return {
    name: 'aubiojs yinfft',
    listen(samples, sampleRateHz) {
      const hop = Math.round(HOP_SECONDS * sampleRateHz);
      const lead = (hop - ((PEER_WINDOW / 2) % hop)) % hop;
      const late = (PEER_WINDOW / 2 + lead) / hop;
      const detector = new Pitch('yinfft', PEER_WINDOW, hop, sampleRateHz);
      const padded = new Float32Array(lead + samples.length);
      padded.set(samples, lead);
      const heard: (number | null)[] = [];
      for (let end = hop; end <= padded.length; end += hop)
        heard.push(trusted(detector.do(padded.subarray(end - hop, end)), 1, 1));
      detector.delete();
      return (frame) => heard[frame + late - 1] ?? null;
    },
  };
}

const essentiaEar = (essentia: Essentia) =>
  windowEar('essentia.js YinFFT', (sampleRateHz) => (window) => {
    const vector = essentia.arrayToVector(window);
    const { frame } = essentia.Windowing(vector, true, PEER_WINDOW, 'hann');
    const { spectrum } = essentia.Spectrum(frame, PEER_WINDOW);
    const heard = essentia.PitchYinFFT(spectrum, PEER_WINDOW, true, HIGHEST_HZ, 50, sampleRateHz);
    for (const each of [vector, frame, spectrum]) each.delete();
    return trusted(heard.pitch, heard.pitchConfidence, 0.5);
  });
