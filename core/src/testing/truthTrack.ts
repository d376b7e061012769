import { FRAME_SECONDS, FrameTrack } from '../hearing/index.ts';
import { createRandom, powerFromDb } from '../signal/index.ts';
import {
  createHarmonicShape,
  createNoteCourse,
  planExercise,
  shapeHarmonicsInto,
  type ExerciseRequest,
} from '../simulated/index.ts';

/** A tone is heard from here on, of its power: then it fills enough of the listener's window. */
const HEARD_POWER = 0.2;
/** Air before a tone is this far under it, and this much of breath is heard as air, at 2-8 kHz. */
const AIR_UNDER_TONE_DB = 16;
const AIR_SHARE = 0.8;
/** Where nothing sounds. */
const SILENCE_DB = -100;
/** A Hann window of 50 ms, at frames. */
const LEVEL_WINDOW = [0.095, 0.655, 1, 0.655, 0.095];
const PARTIALS = 16;
const dB = (power: number) => 10 * Math.log10(Math.max(power, powerFromDb(SILENCE_DB)));

/**
 * What a perfect listener would hear of a performance, frame by frame, straight from what it is played from: for tests in which
 * hearing is not the question. A thirtieth of the time of playing and hearing it. Squawks are not in it, for they have no truth.
 */
export function truthTrack(request: ExerciseRequest): {
  track: FrameTrack;
  beatZeroSeconds: number;
  items: ReturnType<typeof planExercise>['items'];
} {
  const { sampleRateHz } = request;
  const plan = planExercise(request);
  const frames = Math.floor(plan.lengthSeconds / FRAME_SECONDS) + 1;
  const [tone, noise] = [new Float64Array(frames), new Float64Array(frames)];
  const f0Hz = new Float64Array(frames).fill(NaN);
  const breathDb = new Float64Array(frames).fill(NaN);
  const shapes: (Float64Array | null)[] = Array.from({ length: frames }, () => null);
  const shape = createHarmonicShape();

  for (const { note, onsetSeconds, endSeconds } of plan.notes) {
    const course = createNoteCourse(note, createRandom(note.seed));
    const { responseMs } = note.profile;
    const air = powerFromDb(course.levelDbAt(0) - AIR_UNDER_TONE_DB);
    const from = Math.max(0, Math.ceil((onsetSeconds - responseMs / 1000) / FRAME_SECONDS));
    for (let i = from; i <= Math.min(frames - 1, Math.floor(endSeconds / FRAME_SECONDS)); i++) {
      const seconds = i * FRAME_SECONDS - onsetSeconds;
      if (seconds < 0) {
        noise[i] += air;
        continue;
      }
      const hz = course.f0HzAt(seconds);
      const levelDb = course.levelDbAt(seconds);
      const loudness = course.loudnessAt(levelDb);
      shapeHarmonicsInto(shape, hz, loudness, sampleRateHz, note.colourAt?.(seconds) ?? null);
      const breath = course.breathDbAt(seconds, loudness);
      const noisePower = shape.breathBandShare * powerFromDb(breath);
      const power = (powerFromDb(levelDb) / (1 + noisePower)) * course.envelopeAt(seconds) ** 2;
      tone[i] += power;
      noise[i] += power * noisePower;
      if (power < HEARD_POWER * powerFromDb(levelDb)) continue;
      f0Hz[i] = hz;
      breathDb[i] = breath;
      shapes[i] = shape.amplitude.slice(0, Math.min(PARTIALS, shape.count));
    }
  }
  for (const { startSeconds, endSeconds, levelDb } of plan.airs) {
    const [from, to] = [startSeconds, endSeconds].map((seconds) => plan.beatZeroSeconds + seconds);
    for (let i = Math.ceil(from / FRAME_SECONDS); i < Math.min(frames, to / FRAME_SECONDS); i++)
      noise[i] += powerFromDb(levelDb);
  }

  const track = new FrameTrack(frames);
  const partialsDb = new Float64Array(PARTIALS);
  for (let i = 0; i < frames; i++) {
    let sum = 0;
    let weight = 0;
    LEVEL_WINDOW.forEach((share, k) => {
      const at = i + k - 2;
      if (at < 0 || at >= frames) return;
      sum += share * (tone[at] + noise[at]);
      weight += share;
    });
    const level = dB(sum / weight);
    const amplitudes = shapes[i];
    if (!amplitudes) {
      track.append(NaN, 0, level, NaN, NaN, dB(AIR_SHARE * noise[i]));
      continue;
    }
    partialsDb.fill(NaN);
    let moment = 0;
    let all = 0;
    amplitudes.forEach((amplitude, k) => {
      partialsDb[k] = dB((tone[i] * amplitude * amplitude) / 2);
      moment += (k + 1) * amplitude;
      all += amplitude;
    });
    const clarity = tone[i] / (tone[i] + noise[i]);
    track.append(f0Hz[i], clarity, level, moment / all, breathDb[i], NaN, partialsDb);
  }
  return { track, beatZeroSeconds: plan.beatZeroSeconds, items: plan.items };
}
