import { scoreOf, type Exercise, type ExerciseItem, type Judged } from '../exercise/index.ts';
import type { FrameTrack, NonPlayerSpan } from '../hearing/index.ts';
import { hasAutomaticGain } from './automaticGain.ts';
import { judgedWithout } from './judgedWithout.ts';
import type { JudgedNote } from './judgeNote.ts';
import type { TakeMeasures } from './measures.ts';
import { hasNoiseGate } from './noiseGate.ts';
import { NO_ENDS } from './noteMeasures.ts';
import { evenDips, withoutDips } from './withoutDips.ts';

/** What a browser or a device did to the level of a take: turned it down around every click, cut what is soft to nothing, or turned soft up and loud down. */
export type SoundProcessing = (typeof SOUND_PROCESSINGS)[number];
export const SOUND_PROCESSINGS = ['ducking', 'gate', 'gain'] as const;

export interface Unprocessed {
  /** With dips around clicks filled in; else the track itself. */
  track: FrameTrack;
  /** Null: as it was played. */
  processing: SoundProcessing | null;
}

/** Tells from the frames of a take whether its level was worked on, and fills in what can be. */
export function unprocessed(
  track: FrameTrack,
  exercise: Exercise,
  foreign: readonly NonPlayerSpan[],
): Unprocessed {
  const dips = evenDips(track, scoreOf(exercise));
  if (dips.length > 0) return { track: withoutDips(track, dips), processing: 'ducking' };
  if (hasNoiseGate(track, foreign)) return { track, processing: 'gate' };
  return { track, processing: hasAutomaticGain(track) ? 'gain' : null };
}

/** What it did to silences tells nothing of the player's air. */
const hidesAir = (processing: SoundProcessing) => processing !== 'ducking';

const BY_LEVEL: ReadonlySet<Judged> = new Set(['dynamics', 'tone']);

/** An exercise of which nothing is judged that rests on how loud it was; nor on how quiet a rest was, where that was worked on. */
export function judgedWithoutLevel(exercise: Exercise, processing: SoundProcessing): Exercise {
  const judged = (item: ExerciseItem): ExerciseItem => {
    if (item.kind === 'note') return { ...item, judged: judgedWithout(item, BY_LEVEL) };
    return item.kind === 'rest' && hidesAir(processing) ? { ...item, breath: 'free' } : item;
  };
  return {
    ...exercise,
    phrases: exercise.phrases.map((phrase) => ({ ...phrase, items: phrase.items.map(judged) })),
  };
}

/** What nobody knows where the level was worked on. */
export const NO_LEVEL = {
  levelDb: null,
  softestDb: null,
  peakDb: null,
  levelSpreadDb: null,
  levelDriftDbPerSecond: null,
  dynamicSpanDb: null,
  ...NO_ENDS,
  swellErrorDb: null,
  levelOffsetDb: null,
  stairs: { count: 0, worstDb: null },
  wrongWayPercent: null,
  peakOffsetBeats: null,
} satisfies Partial<TakeMeasures>;

/** A judged note without every figure and event that rests on how loud it was. */
export function withoutLevel(note: JudgedNote, processing: SoundProcessing): JudgedNote {
  return {
    ...note,
    // A floor that rises by itself sounds like air, and air that is cut off like none; what is turned down is nearer to the room.
    measures: {
      ...note.measures,
      ...NO_LEVEL,
      endFadeMs: null,
      stepDb: null,
      ...(hidesAir(processing) ? { responseMs: null, squawkMs: 0 } : { noiseToHarmonicDb: null }),
    },
    events: note.events.filter(({ type }) => type !== 'stair'),
    hairpin: null,
    evenLessLevelDb: null,
  };
}
