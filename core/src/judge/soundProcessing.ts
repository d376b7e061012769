import { scoreOf, type Exercise, type Judged } from '../exercise/index.ts';
import type { FrameTrack } from '../hearing/index.ts';
import { hasAutomaticGain } from './automaticGain.ts';
import { judgedWithout } from './judgedWithout.ts';
import type { JudgedNote } from './judgeNote.ts';
import type { TakeMeasures } from './measures.ts';
import { NO_ENDS } from './noteMeasures.ts';
import { evenDips, withoutDips } from './withoutDips.ts';

/** What a browser or a device did to the level of a take: turned it down around every click, or turned soft up and loud down. */
export type SoundProcessing = 'ducking' | 'gain';

export interface Unprocessed {
  /** With dips around clicks filled in; else the track itself. */
  track: FrameTrack;
  /** Null: as it was played. */
  processing: SoundProcessing | null;
}

/** Tells from the frames of a take whether its level was worked on, and fills in what can be. */
export function unprocessed(track: FrameTrack, exercise: Exercise): Unprocessed {
  const dips = evenDips(track, scoreOf(exercise));
  if (dips.length > 0) return { track: withoutDips(track, dips), processing: 'ducking' };
  return { track, processing: hasAutomaticGain(track) ? 'gain' : null };
}

const BY_LEVEL: ReadonlySet<Judged> = new Set(['dynamics', 'tone']);

/** An exercise of which nothing is judged that rests on how loud it was. */
export function judgedWithoutLevel(exercise: Exercise): Exercise {
  return {
    ...exercise,
    phrases: exercise.phrases.map((phrase) => ({
      ...phrase,
      items: phrase.items.map((item) =>
        item.kind === 'note' ? { ...item, judged: judgedWithout(item, BY_LEVEL) } : item,
      ),
    })),
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
    // A floor that rises by itself sounds like air.
    measures: {
      ...note.measures,
      ...NO_LEVEL,
      endFadeMs: null,
      stepDb: null,
      ...(processing === 'gain' && { responseMs: null, squawkMs: 0 }),
    },
    events: note.events.filter(({ type }) => type !== 'stair'),
    hairpin: null,
    evenLessLevelDb: null,
  };
}
