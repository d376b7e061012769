import { fractionAtLevel, type DynamicScale } from '../exercise/index.ts';
import { amplitudeFromDb, createRandom, powerFromDb } from '../signal/index.ts';
import { breathNoise } from './breathNoise.ts';
import type { StandInProfile } from './profile.ts';
import { slurCents, type StandInSlur } from './slur.ts';
import { swerveShare } from './swerve.ts';
import { createHarmonicShape, shapeHarmonicsInto } from './spectrum.ts';
import type { Truth } from './truth.ts';
import { wander } from './wander.ts';

export interface StandInNote {
  /** In-tune frequency of the note. */
  soundingHz: number;
  /** Partial of the fingered tube that this is. */
  partial: number;
  lengthSeconds: number;
  secondsPerBeat: number;
  /** Intended level in dBFS, by beat from the onset. */
  levelDbAtBeat(beat: number): number;
  /** Beat at which growing turns to fading; null where it never does. */
  turnBeat: number | null;
  /** Changes to other notes within the tone, in order. */
  slurs?: readonly StandInSlur[];
  /** Cents off the note, and colour (0 dark - 1 bright), by seconds from the onset. */
  bendCents?: ((seconds: number) => number | null) | null;
  colourAt?: ((seconds: number) => number | null) | null;
  /** Breath against tone in dB; null: as the loudness has it. */
  breathDbAt?: ((seconds: number) => number | null) | null;
  scale: DynamicScale;
  profile: StandInProfile;
  sampleRateHz: number;
  seed: number;
  /** Silence before the air and after the tone. */
  leadSeconds: number;
  tailSeconds: number;
}

export interface Performance {
  sampleRateHz: number;
  samples: Float32Array<ArrayBuffer>;
  truth: Truth;
}

const STEP_SECONDS = 0.01;
const ATTACK_SECONDS = 0.03;
const RELEASE_SECONDS = 0.05;
const JUMP_GLIDE_SECONDS = 0.004;
const STAIR_CATCH_UP_SECONDS = 0.1;
/** Air before the tone is this far under it. */
const AIR_UNDER_TONE_DB = 16;

/** Moves the loudest moment later while start and end stay where they are. */
function lateBeat(beat: number, turn: number | null, late: number, length: number): number {
  if (turn === null || late === 0) return beat;
  const turned = turn + late;
  return beat < turned
    ? (beat * turn) / turned
    : turn + ((beat - turned) * (length - turn)) / (length - turned);
}

function intendedLevelDb(note: StandInNote, seconds: number): number {
  const { profile, secondsPerBeat, levelDbAtBeat, turnBeat, lengthSeconds } = note;
  const length = lengthSeconds / secondsPerBeat;
  const at = (time: number) =>
    levelDbAtBeat(lateBeat(time / secondsPerBeat, turnBeat, profile.peakLateBeats, length));
  for (const { atBeat, holdSeconds } of profile.stairs) {
    const start = atBeat * secondsPerBeat;
    const end = start + holdSeconds;
    if (seconds >= start && seconds < end) return at(start);
    if (seconds >= end && seconds < end + STAIR_CATCH_UP_SECONDS) {
      const target = at(end + STAIR_CATCH_UP_SECONDS);
      return at(start) + ((seconds - end) / STAIR_CATCH_UP_SECONDS) * (target - at(start));
    }
  }
  return at(seconds);
}

/** The note that is meant at a moment: the first one, or the last that was slurred to. */
interface Meant {
  soundingHz: number;
  partial: number;
  /** Off its target by this. */
  cents: number;
}

function meantAt({ soundingHz, partial, slurs = [] }: StandInNote, seconds: number): Meant {
  let meant: Meant = { soundingHz, partial, cents: 0 };
  for (const slur of slurs) {
    const since = seconds - slur.atSeconds;
    if (since < 0) break;
    const from = 1200 * Math.log2(meant.soundingHz / slur.soundingHz) + meant.cents - slur.cents;
    meant = { ...slur, cents: slur.cents + slurCents(from, slur, since) };
  }
  return meant;
}

function partialAt({ profile }: StandInNote, { partial }: Meant, seconds: number): number {
  const jump = profile.jumps.find(
    ({ atSeconds, lengthSeconds }) => seconds >= atSeconds && seconds < atSeconds + lengthSeconds,
  );
  return jump ? jump.toPartial : partial;
}

/** Plays one note. The same note and seed give the same samples, on every machine. */
export function playNote(note: StandInNote): Performance {
  const { profile, sampleRateHz, scale, lengthSeconds } = note;
  const random = createRandom(note.seed);
  const steps = Math.ceil(lengthSeconds / STEP_SECONDS) + 2;
  const pitchWander = wander(steps, random);
  const levelWander = wander(steps, random);
  const onsetSeconds = note.leadSeconds + profile.responseMs / 1000;
  const total = Math.round((onsetSeconds + lengthSeconds + note.tailSeconds) * sampleRateHz);
  const first = Math.round(onsetSeconds * sampleRateHz);
  const toneSamples = Math.round(lengthSeconds * sampleRateHz);
  const samples = new Float32Array(total);
  const noise = breathNoise(total, sampleRateHz, random);
  const shape = createHarmonicShape();
  const middleDb = (scale.floorDb + scale.ceilingDb) / 2;

  const between = (curve: Float64Array, seconds: number) => {
    const position = seconds / STEP_SECONDS;
    const below = Math.min(steps - 2, Math.floor(position));
    return curve[below] + (position - below) * (curve[below + 1] - curve[below]);
  };
  const { swerve } = profile;
  const swerveAt = (seconds: number) => (swerve ? swerveShare(swerve, seconds) : 0);
  const levelDbAt = (seconds: number) =>
    intendedLevelDb(note, seconds) +
    profile.wobbleDb * between(levelWander, seconds) +
    swerveAt(seconds) * (swerve?.levelDb ?? 0);
  const f0HzAt = (seconds: number) => {
    const vibrato = profile.vibrato
      ? profile.vibrato.widthCents * Math.sin(2 * Math.PI * profile.vibrato.rateHz * seconds)
      : 0;
    const meant = meantAt(note, seconds);
    const cents =
      profile.tendencyCents +
      meant.cents +
      (note.bendCents?.(seconds) ?? 0) +
      (profile.bendCentsPer10Db * (levelDbAt(seconds) - middleDb)) / 10 +
      profile.jitterCents * between(pitchWander, seconds) +
      swerveAt(seconds) * (swerve?.cents ?? 0) +
      vibrato;
    return ((meant.soundingHz * partialAt(note, meant, seconds)) / meant.partial) * 2 ** (cents / 1200);
  };
  const envelope = (seconds: number) => {
    const edge = Math.min(seconds / ATTACK_SECONDS, (lengthSeconds - seconds) / RELEASE_SECONDS, 1);
    return 0.5 - 0.5 * Math.cos(Math.PI * Math.max(0, edge));
  };

  // Pitch, level and spectrum are set afresh every millisecond; the phase runs through.
  const block = Math.max(1, Math.round(sampleRateHz / 1000));
  const glide = Math.exp(-1 / 1000 / JUMP_GLIDE_SECONDS);
  let heardHz = f0HzAt(0);
  let phase = 0;
  for (let start = 0; start < toneSamples; start += block) {
    const seconds = start / sampleRateHz;
    const wantedHz = f0HzAt(seconds);
    const jumping = Math.abs(wantedHz / heardHz - 1) > 0.03;
    heardHz = jumping ? heardHz * glide + wantedHz * (1 - glide) : wantedHz;
    const levelDb = levelDbAt(seconds);
    const loudness = Math.max(0, Math.min(1, fractionAtLevel(levelDb, scale)));
    shapeHarmonicsInto(shape, heardHz, loudness, sampleRateHz, note.colourAt?.(seconds) ?? null);
    const usualBreathDb = profile.breathDbSoft + loudness * (profile.breathDbLoud - profile.breathDbSoft);
    const breathDb =
      (note.breathDbAt?.(seconds) ?? usualBreathDb) + swerveAt(seconds) * (swerve?.breathDb ?? 0);
    const noisePower = shape.breathBandShare * powerFromDb(breathDb);
    const gain = (amplitudeFromDb(levelDb) / Math.sqrt(1 + noisePower)) * envelope(seconds);
    const noiseGain = gain * Math.sqrt(noisePower);
    const turn = (2 * Math.PI * heardHz) / sampleRateHz;
    for (let n = start; n < Math.min(start + block, toneSamples); n++) {
      phase += turn;
      // sin((k+1)x) = 2 cos x sin kx - sin((k-1)x)
      const twice = 2 * Math.cos(phase);
      let before = 0;
      let sine = Math.sin(phase);
      let sum = 0;
      for (let k = 0; k < shape.count; k++) {
        sum += shape.amplitude[k] * sine;
        const next = twice * sine - before;
        before = sine;
        sine = next;
      }
      samples[first + n] += gain * sum + noiseGain * noise[first + n];
    }
    phase %= 2 * Math.PI;
  }

  const airFrom = Math.round(note.leadSeconds * sampleRateHz);
  const airGain = amplitudeFromDb(levelDbAt(0) - AIR_UNDER_TONE_DB);
  const fade = ATTACK_SECONDS * sampleRateHz;
  for (let n = airFrom; n < first + fade && n < total; n++) {
    const swell = Math.min(1, (n - airFrom) / fade, (first + fade - n) / fade);
    if (profile.responseMs > 0) samples[n] += airGain * swell * noise[n];
  }
  return { sampleRateHz, samples, truth: tell() };

  function tell(): Truth {
    const frames = Math.floor(total / sampleRateHz / STEP_SECONDS) + 1;
    const f0Hz = new Float64Array(frames).fill(NaN);
    const levelDb = new Float64Array(frames).fill(NaN);
    for (let i = 0; i < frames; i++) {
      const seconds = i * STEP_SECONDS - onsetSeconds;
      if (seconds < 0 || seconds > lengthSeconds) continue;
      f0Hz[i] = f0HzAt(seconds);
      if (envelope(seconds) === 1) levelDb[i] = levelDbAt(seconds);
    }
    return {
      toneOnsetSeconds: onsetSeconds,
      toneEndSeconds: onsetSeconds + lengthSeconds,
      f0Hz,
      levelDb,
      jumps: profile.jumps.map(({ atSeconds, lengthSeconds: length, toPartial }) => ({
        timeSeconds: onsetSeconds + atSeconds,
        lengthSeconds: length,
        from: note.partial,
        to: toPartial,
      })),
    };
  }
}
