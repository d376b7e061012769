import { levelAtFraction } from '@inner-hum/core/exercise';
import { frequencyHz, hornById, regularTube, toSounding, writtenMidi } from '@inner-hum/core/horn';
import { playPhrase } from '@inner-hum/core/simulated';
import type { SimulatedRequest } from './protocol.ts';

/** What the simulated player plays when nobody asks for anything: a few middle notes, each a breath long. */
const NOTES = [
  { midi: 71, beats: 4, from: 0.3, to: 0.7 },
  { midi: 69, beats: 3, from: 0.7, to: 0.3 },
  { midi: 67, beats: 5, from: 0.25, to: 0.85 },
  { midi: 72, beats: 3, from: 0.5, to: 0.5 },
  { midi: 74, beats: 4, from: 0.8, to: 0.3 },
  { midi: 62, beats: 4, from: 0.6, to: 0.2 },
];

export function renderFreePlaying(request: Omit<SimulatedRequest, 'exercise'>): Float32Array<ArrayBuffer> {
  const { hornId, a4Hz, scale, profile, sampleRateHz, seed } = request;
  const horn = hornById(hornId);
  return playPhrase(
    NOTES.map(({ midi, beats, from, to }, i) => ({
      soundingHz: frequencyHz(toSounding(writtenMidi(midi), horn), a4Hz),
      partial: regularTube(writtenMidi(midi)).partial,
      lengthSeconds: beats * 0.8,
      secondsPerBeat: 0.8,
      levelDbAtBeat: (beat) => levelAtFraction(from + (beat / beats) * (to - from), scale),
      turnBeat: null,
      scale,
      profile: { ...profile, stairs: [], jumps: [] },
      sampleRateHz,
      seed: seed + i,
      leadSeconds: 0.4,
      tailSeconds: 0.3,
    })),
  );
}
