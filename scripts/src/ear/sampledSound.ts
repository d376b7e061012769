import { createRandom, powerFromDb } from '@inner-hum/core/signal';
import { createNoteCourse, microphoneNoise, planExercise } from '@inner-hum/core/simulated';
import type { SoundMaker } from '@inner-hum/core/verdicts';
import { STEP_SECONDS, type SampledNote } from './sampledNote.ts';

/** The attack of a recording is its own for so long. */
const ATTACK_SECONDS = 0.12;
/** Out of another note a tone is joined where it is settled. */
const SETTLED_SECONDS = 0.4;
/** Before its end it is led back to where it is settled. */
const TAIL_SECONDS = 0.35;
const JOIN_SECONDS = 0.05;
const AIR_UNDER_TONE_DB = 16;

const between = (values: Float64Array, at: number) => {
  const i = Math.max(0, Math.min(values.length - 2, Math.floor(at)));
  return values[i] + Math.max(0, Math.min(1, at - i)) * (values[i + 1] - values[i]);
};

/** The sample at a place between samples (cubic through four). */
function sampleAt(samples: Float32Array, at: number): number {
  const i = Math.floor(at);
  const u = at - i;
  const [a, b, c, d] = [samples[i - 1] ?? 0, samples[i] ?? 0, samples[i + 1] ?? 0, samples[i + 2] ?? 0];
  return b + 0.5 * u * (c - a + u * (2 * a - 5 * b + 4 * c - d + u * (3 * (b - c) + d - a)));
}

/** Moves through one recording at the pitch and level that are asked for, round and round its settled part. */
function createReader({ samples, sampleRateHz, first, last, f0Hz, levelDb }: SampledNote, isJoined: boolean) {
  const settled = first + SETTLED_SECONDS * sampleRateHz;
  const end = Math.max(settled + 0.3 * sampleRateHz, last - TAIL_SECONDS * sampleRateHz);
  const join = JOIN_SECONDS * sampleRateHz;
  const length = end - settled - join;
  let at = isJoined ? settled : first;
  const steps = (place: number) => place / sampleRateHz / STEP_SECONDS;
  const attackEnd = first + ATTACK_SECONDS * sampleRateHz;
  return (hz: number, rate: number): number => {
    // Near the end it fades over into where it is settled.
    const over = at > end - join ? (at - (end - join)) / join : 0;
    let value = sampleAt(samples, at);
    if (over > 0) value = Math.sqrt(1 - over) * value + Math.sqrt(over) * sampleAt(samples, at - length);
    const ownDb = between(levelDb, steps(Math.max(at, attackEnd)));
    at += (hz / between(f0Hz, steps(at))) * (sampleRateHz / rate);
    if (at >= end) at -= length;
    return value / Math.sqrt(powerFromDb(ownDb));
  };
}

/** Plays what is asked with sampled notes: the nearest one, bent to the pitch and set to the level that is meant, joined and faded. */
export const sampledSound =
  (notes: readonly SampledNote[]): SoundMaker =>
  (request) => {
    const { sampleRateHz: rate, seed } = request;
    const plan = planExercise(request);
    const random = createRandom(seed + 99);
    const samples = microphoneNoise(Math.round(plan.lengthSeconds * rate), random);
    const air = (from: number, to: number, db: number) => {
      for (let n = Math.max(0, Math.round(from * rate)); n < Math.min(samples.length, to * rate); n++)
        samples[n] += Math.sqrt(powerFromDb(db)) * random.normal();
    };
    let lastEnd = -1;
    for (const { note, onsetSeconds, endSeconds } of plan.notes) {
      const course = createNoteCourse(note, createRandom(note.seed));
      const middleHz = course.f0HzAt((endSeconds - onsetSeconds) / 2);
      const midi = 69 + 12 * Math.log2(middleHz / 440);
      const source = notes.reduce((best, each) =>
        Math.abs(each.midi - midi) < Math.abs(best.midi - midi) ? each : best,
      );
      const isJoined = onsetSeconds - lastEnd < 0.02;
      lastEnd = endSeconds;
      const read = createReader(source, isJoined);
      const first = Math.round(onsetSeconds * rate);
      const last = Math.min(samples.length, Math.round(endSeconds * rate));
      for (let n = first; n < last; n++) {
        const seconds = (n - first) / rate;
        const gain = Math.sqrt(powerFromDb(course.levelDbAt(seconds))) * course.envelopeAt(seconds);
        samples[n] += gain * read(course.f0HzAt(seconds), rate);
      }
      const before = note.profile.responseMs / 1000;
      if (!isJoined) air(onsetSeconds - before, onsetSeconds + 0.02, course.levelDbAt(0) - AIR_UNDER_TONE_DB);
    }
    for (const { startSeconds, endSeconds, levelDb } of plan.airs)
      air(plan.beatZeroSeconds + startSeconds, plan.beatZeroSeconds + endSeconds, levelDb);
    return { samples, beatZeroSeconds: plan.beatZeroSeconds };
  };
