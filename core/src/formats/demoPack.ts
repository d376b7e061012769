import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import type { Choices, Exercise, FamilyId } from '../exercise/index.ts';
import type { FrameColumns } from '../hearing/index.ts';
import type { HornId } from '../horn/index.ts';
import type { PitchGuess, PlayingLoad, TakeAnalysis, TakeContext, TakeLoudness } from '../judge/index.ts';
import type { Goal } from '../practice/index.ts';
import type { ItemFault, SimulatedProfile } from '../simulated/index.ts';
import type { CueTrial, Question, TrialMeasure } from '../trial/index.ts';
import { concat } from '../signal/index.ts';
import { packFrames, unpackFrames } from './packedFrames.ts';

/** A moment of the scenario: so many days before its last one, at a second of that day. */
export interface DemoMoment {
  daysAgo: number;
  second: number;
}

/** A take as it was heard and judged, and what the simulated player was told to play, so that its sound can be made again. */
export interface DemoTake extends DemoMoment {
  id: string;
  context: TakeContext;
  mouthpieceId: string;
  reedId: string;
  reedKind: string;
  roundId: string | null;
  phrase: number;
  eyes: 'watch' | 'blind';
  call: PitchGuess | null;
  playerNote: string;
  sampleRateHz: number;
  lengthSeconds: number;
  played: { profile: SimulatedProfile; faults: ItemFault[]; seed: number };
  analysis: TakeAnalysis | null;
  playingLoad: PlayingLoad;
  loudness: TakeLoudness | null;
  frames: FrameColumns;
}

export interface DemoRound extends DemoMoment {
  id: string;
  hornId: HornId;
  /** A drill of the Shelf, or a sitting of a trial. */
  of: { family: FamilyId; choices: Choices } | { trialId: string; exercise: Exercise };
}

/** Its notes begin as is usual for what is played. */
export interface DemoTrial extends Omit<CueTrial, 'attacks'> {
  id: string;
  hornId: HornId;
  daysAgo: number;
  question: Question;
  measure: TrialMeasure;
}

export interface DemoAim {
  id: string;
  hornId: HornId;
  daysAgo: number;
  text: string;
  goal: Goal;
  byInDays: number | null;
  /** When it was put away as reached; null: it counts. */
  doneDaysAgo: number | null;
}

/** What a teacher asked for. */
export interface DemoTask {
  id: string;
  from: string;
  note: string;
  daysAgo: number;
  byInDays: number;
  items: { family: FamilyId; choices: Choices }[];
}

export interface DemoReed {
  id: string;
  hornId: HornId;
  kind: string;
  name: string;
  daysAgo: number;
  retiredDaysAgo: number | null;
  remarks: { daysAgo: number; how: 'well' | 'fair' | 'badly'; text: string }[];
}

/** Weeks of an invented player: everything that the demo shows. */
export interface DemoPack {
  takes: DemoTake[];
  rounds: DemoRound[];
  trials: DemoTrial[];
  aims: DemoAim[];
  tasks: DemoTask[];
  reeds: DemoReed[];
  /** The reed on each horn at the end. */
  reedsOn: { hornId: HornId; reedId: string }[];
  mouthpieces: { id: string; hornId: HornId; name: string }[];
  checks: {
    hornId: HornId;
    daysAgo: number;
    kind: 'leakTest' | 'technician' | 'repair' | 'other';
    text: string;
  }[];
  dayNotes: { daysAgo: number; text: string; temperatureC: number | null }[];
  settled: { mouthpieceId: string; writtenMidi: number; fingering: string }[];
  exercises: Exercise[];
}

const STORY = 'story.json';
const FRAMES = 'frames.bin';
/** No figure is told with more. */
const DIGITS = 5;

const short = (_name: string, value: unknown) =>
  typeof value === 'number' && !Number.isInteger(value) ? Number(value.toPrecision(DIGITS)) : value;

/** The scenario as one ZIP: figures to five digits, frames packed. */
export function packDemo(pack: DemoPack): Uint8Array<ArrayBuffer> {
  const frames = pack.takes.map((take) => packFrames(take.frames));
  const all = concat(Uint8Array, frames);
  const takes = pack.takes.map((take, i) => ({ ...take, frames: frames[i].length }));
  // No time of making, so that the same scenario is the same file.
  const mtime = new Date(2020, 0, 1);
  return zipSync(
    { [STORY]: strToU8(JSON.stringify({ ...pack, takes }, short)), [FRAMES]: all },
    { level: 9, mtime },
  );
}

/** Reads such a ZIP; it is our own and is trusted. */
export function unpackDemo(bytes: Uint8Array): DemoPack {
  const { [STORY]: story, [FRAMES]: frames } = unzipSync(bytes);
  const read = JSON.parse(strFromU8(story)) as Omit<DemoPack, 'takes'> & {
    takes: (Omit<DemoTake, 'frames'> & { frames: number })[];
  };
  let offset = 0;
  return {
    ...read,
    takes: read.takes.map(({ frames: length, ...take }) => {
      offset += length;
      return { ...take, frames: unpackFrames(frames.subarray(offset - length, offset)) };
    }),
  };
}
