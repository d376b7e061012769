import { secondsPerBeat } from '../exercise/index.ts';
import type { ExerciseRequest } from './exerciseRequest.ts';
import { planTones } from './planTones.ts';
import { playAir } from './playAir.ts';
import { playSquawk } from './playSquawk.ts';
import { playNote, type Performance } from './playNote.ts';
import type { ItemTruth } from './truth.ts';

export interface ExercisePerformance extends Performance {
  /** Beat 0 in the sound: after the lead and the first tone's air. */
  beatZeroSeconds: number;
  /** One an item of the exercise's score. */
  items: ItemTruth[];
}

/** Rooms for one seed each tone may use. */
const SEEDS_APART = 7919;

/** Plays the whole exercise, rests and all, as this profile would, on this horn, by this player's dynamic scale. */
export function playExercise(request: ExerciseRequest): ExercisePerformance {
  const { exercise, scale, profile, sampleRateHz, seed, leadSeconds, tailSeconds, faults = [] } = request;
  const beatSeconds = secondsPerBeat(exercise);
  const beatZeroSeconds = leadSeconds + profile.responseMs / 1000;
  const plan = planTones({ ...request, faults });
  const endSeconds = Math.max(
    ...plan.tones.map(({ endSeconds: end }) => end),
    ...plan.airs.map(({ endSeconds: end }) => end),
    ...plan.squawks.map(({ endSeconds: end }) => end),
    plan.lengthSeconds,
  );
  const samples = new Float32Array(Math.round((beatZeroSeconds + endSeconds + tailSeconds) * sampleRateHz));
  const frames = Math.floor(samples.length / sampleRateHz / 0.01) + 1;
  const f0Hz = new Float64Array(frames).fill(NaN);
  const levelDb = new Float64Array(frames).fill(NaN);
  const jumps: Performance['truth']['jumps'] = [];

  const mix = (part: Float32Array, atSeconds: number) => {
    const offset = Math.round(atSeconds * sampleRateHz);
    for (let n = Math.max(0, -offset); n < part.length && offset + n < samples.length; n++)
      samples[offset + n] += part[n];
  };
  plan.tones.forEach((tone, i) => {
    const airSeconds = tone.responseMs / 1000;
    // Everything is laid on the grid of frames of the whole, so that truths can be put together frame by frame.
    const onset = beatZeroSeconds + tone.startSeconds;
    const lead = Math.min(0.5, onset - airSeconds);
    const startFrame = Math.floor((onset - airSeconds - lead) / 0.01);
    const first = startFrame * 0.01;
    const played = playNote({
      soundingHz: tone.soundingHz,
      partial: tone.partial,
      lengthSeconds: tone.endSeconds - tone.startSeconds,
      secondsPerBeat: beatSeconds,
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
      leadSeconds: onset - airSeconds - first,
      tailSeconds: 0.1,
    });
    mix(played.samples, first);
    played.truth.f0Hz.forEach((hz, frame) => {
      if (Number.isNaN(hz) || startFrame + frame >= frames) return;
      f0Hz[startFrame + frame] = hz;
      levelDb[startFrame + frame] = played.truth.levelDb[frame];
    });
    jumps.push(...played.truth.jumps.map((jump) => ({ ...jump, timeSeconds: jump.timeSeconds + first })));
  });
  plan.airs.forEach((air, i) =>
    mix(
      playAir(air, sampleRateHz, seed + (plan.tones.length + i) * SEEDS_APART),
      beatZeroSeconds + air.startSeconds,
    ),
  );
  plan.squawks.forEach((squawk, i) =>
    mix(
      playSquawk(squawk, sampleRateHz, seed + (plan.tones.length + plan.airs.length + i) * SEEDS_APART),
      beatZeroSeconds + squawk.startSeconds,
    ),
  );
  const onsets = plan.tones.map(({ startSeconds }) => startSeconds);
  const shift = (seconds: number | null) => (seconds === null ? null : seconds + beatZeroSeconds);
  return {
    sampleRateHz,
    samples,
    beatZeroSeconds,
    items: plan.items.map((item) => ({
      ...item,
      onsetSeconds: shift(item.onsetSeconds),
      endSeconds: shift(item.endSeconds),
    })),
    truth: {
      toneOnsetSeconds: beatZeroSeconds + Math.min(...onsets, plan.lengthSeconds),
      toneEndSeconds: beatZeroSeconds + Math.max(...plan.tones.map(({ endSeconds: end }) => end)),
      f0Hz,
      levelDb,
      jumps,
    },
  };
}
