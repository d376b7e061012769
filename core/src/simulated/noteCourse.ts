import { fractionAtLevel } from '../exercise/index.ts';
import type { Random } from '../signal/index.ts';
import type { SimulatedNote } from './simulatedNote.ts';
import { slurCents } from './slur.ts';
import { swerveShare } from './swerve.ts';
import { wander } from './wander.ts';

/** What one tone is at a moment, by seconds from its onset: all that is then played, and all that is true of it. */
export interface NoteCourse {
  f0HzAt(seconds: number): number;
  levelDbAt(seconds: number): number;
  /** Place of a level on the dynamic scale, 0-1. */
  loudnessAt(levelDb: number): number;
  /** Breath against tone in dB, at a level. */
  breathDbAt(seconds: number, loudness: number): number;
  /** How far it has come up, or not yet gone: 0-1, of amplitude. */
  envelopeAt(seconds: number): number;
}

const STEP_SECONDS = 0.01;
const ATTACK_SECONDS = 0.03;
const RELEASE_SECONDS = 0.05;
const STAIR_CATCH_UP_SECONDS = 0.1;

/** Moves the loudest moment later while start and end stay where they are. */
function lateBeat(beat: number, turn: number | null, late: number, length: number): number {
  if (turn === null || late === 0) return beat;
  const turned = turn + late;
  return beat < turned
    ? (beat * turn) / turned
    : turn + ((beat - turned) * (length - turn)) / (length - turned);
}

function intendedLevelDb(note: SimulatedNote, seconds: number): number {
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

function meantAt({ soundingHz, partial, slurs = [] }: SimulatedNote, seconds: number): Meant {
  let meant: Meant = { soundingHz, partial, cents: 0 };
  for (const slur of slurs) {
    const since = seconds - slur.atSeconds;
    if (since < 0) break;
    const from = 1200 * Math.log2(meant.soundingHz / slur.soundingHz) + meant.cents - slur.cents;
    meant = { ...slur, cents: slur.cents + slurCents(from, slur, since) };
  }
  return meant;
}

function partialAt({ profile }: SimulatedNote, { partial }: Meant, seconds: number): number {
  const jump = profile.jumps.find(
    ({ atSeconds, lengthSeconds }) => seconds >= atSeconds && seconds < atSeconds + lengthSeconds,
  );
  return jump ? jump.toPartial : partial;
}

/** The course of a note. What is random in it is taken from `random` first. */
export function createNoteCourse(note: SimulatedNote, random: Random): NoteCourse {
  const { profile, scale, lengthSeconds } = note;
  const steps = Math.ceil(lengthSeconds / STEP_SECONDS) + 2;
  const pitchWander = wander(steps, random);
  const levelWander = wander(steps, random);
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
  const loudnessAt = (levelDb: number) => Math.max(0, Math.min(1, fractionAtLevel(levelDb, scale)));
  const breathDbAt = (seconds: number, loudness: number) => {
    const usualBreathDb = profile.breathDbSoft + loudness * (profile.breathDbLoud - profile.breathDbSoft);
    return (note.breathDbAt?.(seconds) ?? usualBreathDb) + swerveAt(seconds) * (swerve?.breathDb ?? 0);
  };
  return { f0HzAt, levelDbAt, loudnessAt, breathDbAt, envelopeAt: envelope };
}
