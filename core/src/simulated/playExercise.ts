import { secondsPerBeat } from '../exercise/index.ts';
import { createRandom } from '../signal/index.ts';
import type { ExerciseRequest } from './exerciseRequest.ts';
import { microphoneNoise } from './microphoneNoise.ts';
import { planTones } from './planTones.ts';
import { playAir, type SimulatedAir } from './playAir.ts';
import { playSquawk, type SimulatedSquawk } from './playSquawk.ts';
import { playNote, type Performance } from './playNote.ts';
import type { SimulatedNote } from './simulatedNote.ts';
import type { ItemTruth } from './truth.ts';

export interface ExercisePerformance extends Performance {
  /** Beat 0 in the sound: after the lead and the first tone's air. */
  beatZeroSeconds: number;
  /** One an item of the exercise's score. */
  items: ItemTruth[];
}

const FRAME_SECONDS = 0.01;
/** Rooms for one seed each tone may use. */
const SEEDS_APART = 7919;

/** Everything that sounds in a performance, and when: what it is played from, and what is known of it without playing it. */
export interface PlannedPerformance {
  beatZeroSeconds: number;
  lengthSeconds: number;
  /** Each tone as a note of its own; where in the whole that note's own time begins, on a frame; and its tone in the whole. */
  notes: { note: SimulatedNote; firstFrame: number; onsetSeconds: number; endSeconds: number }[];
  /** By seconds from beat 0. */
  airs: readonly SimulatedAir[];
  squawks: readonly SimulatedSquawk[];
  items: ItemTruth[];
}

/** Plans the whole exercise, rests and all, as this profile would play it, on this horn, by this player's dynamic scale. */
export function planExercise(request: ExerciseRequest): PlannedPerformance {
  const { exercise, scale, profile, sampleRateHz, seed, leadSeconds, tailSeconds, faults = [] } = request;
  const beatZeroSeconds = leadSeconds + profile.responseMs / 1000;
  const plan = planTones({ ...request, faults });
  const { tones, airs, squawks } = plan;
  const ends = [...tones, ...airs, ...squawks].map((each) => each.endSeconds);
  const notes = tones.map((tone, i) => {
    const airSeconds = tone.responseMs / 1000;
    // Everything is laid on the grid of frames of the whole, so that truths can be put together frame by frame.
    const onsetSeconds = beatZeroSeconds + tone.startSeconds;
    const lead = Math.min(0.5, onsetSeconds - airSeconds);
    const firstFrame = Math.floor((onsetSeconds - airSeconds - lead) / FRAME_SECONDS);
    const note: SimulatedNote = {
      soundingHz: tone.soundingHz,
      partial: tone.partial,
      lengthSeconds: tone.endSeconds - tone.startSeconds,
      secondsPerBeat: secondsPerBeat(exercise),
      levelDbAtBeat: tone.levelDbAtBeat,
      turnBeat: tone.turnBeat,
      slurs: tone.slurs,
      bendCents: tone.bendCents,
      colourAt: tone.colourAt,
      breathDbAt: tone.breathDbAt,
      scale,
      profile: {
        ...profile,
        tendencyCents: profile.tendencyCents + tone.cents,
        responseMs: tone.responseMs,
        peakLateBeats: tone.peakLateBeats ?? profile.peakLateBeats,
        jumps: [...profile.jumps, ...tone.jumps],
      },
      sampleRateHz,
      seed: seed + i * SEEDS_APART,
      leadSeconds: onsetSeconds - airSeconds - firstFrame * FRAME_SECONDS,
      tailSeconds: 0.1,
    };
    return { note, firstFrame, onsetSeconds, endSeconds: beatZeroSeconds + tone.endSeconds };
  });
  const shift = (seconds: number | null) => (seconds === null ? null : seconds + beatZeroSeconds);
  return {
    beatZeroSeconds,
    lengthSeconds: beatZeroSeconds + Math.max(...ends, plan.lengthSeconds) + tailSeconds,
    notes,
    airs,
    squawks,
    items: plan.items.map((item) => ({
      ...item,
      onsetSeconds: shift(item.onsetSeconds),
      endSeconds: shift(item.endSeconds),
    })),
  };
}

/** Plays what was planned. */
export function playExercise(request: ExerciseRequest): ExercisePerformance {
  const { sampleRateHz, seed } = request;
  const { beatZeroSeconds, lengthSeconds, notes, airs, squawks, items } = planExercise(request);
  const samples = microphoneNoise(Math.round(lengthSeconds * sampleRateHz), createRandom(seed));
  const frames = Math.floor(samples.length / sampleRateHz / FRAME_SECONDS) + 1;
  const f0Hz = new Float64Array(frames).fill(NaN);
  const levelDb = new Float64Array(frames).fill(NaN);
  const jumps: Performance['truth']['jumps'] = [];

  const mix = (part: Float32Array, atSeconds: number) => {
    const offset = Math.round(atSeconds * sampleRateHz);
    for (let n = Math.max(0, -offset); n < part.length && offset + n < samples.length; n++)
      samples[offset + n] += part[n];
  };
  for (const { note, firstFrame } of notes) {
    const first = firstFrame * FRAME_SECONDS;
    const played = playNote(note);
    mix(played.samples, first);
    played.truth.f0Hz.forEach((hz, frame) => {
      if (Number.isNaN(hz) || firstFrame + frame >= frames) return;
      f0Hz[firstFrame + frame] = hz;
      levelDb[firstFrame + frame] = played.truth.levelDb[frame];
    });
    jumps.push(...played.truth.jumps.map((jump) => ({ ...jump, timeSeconds: jump.timeSeconds + first })));
  }
  const seedOf = (place: number) => seed + (notes.length + place) * SEEDS_APART;
  airs.forEach((air, i) => mix(playAir(air, sampleRateHz, seedOf(i)), beatZeroSeconds + air.startSeconds));
  squawks.forEach((squawk, i) =>
    mix(playSquawk(squawk, sampleRateHz, seedOf(airs.length + i)), beatZeroSeconds + squawk.startSeconds),
  );
  const silence = lengthSeconds - request.tailSeconds;
  return {
    sampleRateHz,
    samples,
    beatZeroSeconds,
    items,
    truth: {
      toneOnsetSeconds: Math.min(...notes.map(({ onsetSeconds }) => onsetSeconds), silence),
      toneEndSeconds: Math.max(...notes.map(({ endSeconds }) => endSeconds)),
      f0Hz,
      levelDb,
      jumps,
    },
  };
}
