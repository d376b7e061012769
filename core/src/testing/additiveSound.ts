import { createRandom, powerFromDb } from '../signal/index.ts';
import { createNoteCourse, microphoneNoise, planExercise, type ExerciseRequest } from '../simulated/index.ts';
import { sineSum } from './sineSum.ts';

// Sound that the simulated player did not make: the same courses of pitch, level and breath by another instrument.

/** Twelve harmonics that fall by the number of each, the odd ones stronger: a colour of its own, which loudness brightens a little. */
const HARMONICS = 12;

/** Bare air, and what goes before a tone, under it. */
const AIR_UNDER_TONE_DB = 16;

const isInBand = (hz: number) => hz >= 500 && hz <= 8000;

const amplitudeOf = (k: number, loudness: number) =>
  (k % 2 === 1 ? 1 : 0.6) / k ** (1.8 - 0.9 * Math.max(0, Math.min(1, loudness)));

/** Renders a performance by plain addition of sines and white noise. Times as in `playExercise`. */
export function additiveSound(request: ExerciseRequest): {
  samples: Float32Array<ArrayBuffer>;
  beatZeroSeconds: number;
} {
  const { sampleRateHz: rate, seed } = request;
  const bandShare = (Math.min(8000, rate / 2) - 500) / (rate / 2);
  const plan = planExercise(request);
  const random = createRandom(seed + 99);
  const samples = microphoneNoise(Math.round(plan.lengthSeconds * rate), random);
  const noise = (from: number, to: number, power: (seconds: number) => number) => {
    for (let n = Math.max(0, Math.round(from * rate)); n < Math.min(samples.length, to * rate); n++)
      samples[n] += Math.sqrt(power(n / rate)) * random.normal();
  };
  for (const { note, onsetSeconds, endSeconds } of plan.notes) {
    const course = createNoteCourse(note, createRandom(note.seed));
    const first = Math.round(onsetSeconds * rate);
    const last = Math.min(samples.length, Math.round(endSeconds * rate));
    let phase = 0;
    for (let start = first; start < last; start += 24) {
      const seconds = (start - first) / rate;
      const hz = course.f0HzAt(seconds);
      const levelDb = course.levelDbAt(seconds);
      const loudness = course.loudnessAt(levelDb);
      const colour = note.colourAt?.(seconds) ?? null;
      const bright = colour === null ? loudness : loudness + colour - 0.5;
      const amplitudes = Array.from({ length: HARMONICS }, (_, k) =>
        (k + 1) * hz < 0.45 * rate ? amplitudeOf(k + 1, bright) : 0,
      );
      const power = amplitudes.reduce((sum, each) => sum + each ** 2 / 2, 0);
      // Breath is told against the tone within 0.5-8 kHz; white noise has that share of its power there.
      const inBand = amplitudes.reduce(
        (sum, each, k) => sum + (isInBand((k + 1) * hz) ? each ** 2 / 2 : 0),
        0,
      );
      const breath = (powerFromDb(course.breathDbAt(seconds, loudness)) * inBand) / power / bandShare;
      const gain = Math.sqrt(powerFromDb(levelDb) / (1 + breath)) * course.envelopeAt(seconds);
      const hiss = gain * Math.sqrt(breath);
      for (let n = start; n < Math.min(last, start + 24); n++) {
        phase += (2 * Math.PI * hz) / rate;
        samples[n] += (gain * sineSum(amplitudes, phase)) / Math.sqrt(power) + hiss * random.normal();
      }
    }
    const air = powerFromDb(course.levelDbAt(0) - AIR_UNDER_TONE_DB);
    noise(onsetSeconds - note.profile.responseMs / 1000, onsetSeconds + 0.02, () => air);
  }
  for (const { startSeconds, endSeconds, levelDb } of plan.airs)
    noise(plan.beatZeroSeconds + startSeconds, plan.beatZeroSeconds + endSeconds, () => powerFromDb(levelDb));
  return { samples, beatZeroSeconds: plan.beatZeroSeconds };
}

/** The additive sound of each row or the like, made once however often it is asked for. */
export function additiveOnce(): (row: object) => typeof additiveSound {
  const made = new Map<object, ReturnType<typeof additiveSound>>();
  return (row) => (request) => {
    const sound = made.get(row) ?? additiveSound(request);
    made.set(row, sound);
    return sound;
  };
}
