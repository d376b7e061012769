import type { SoundProcessing } from './soundProcessing.ts';
import type { ItemAnalysis } from './itemAnalysis.ts';
import type { TakeMeasures } from './measures.ts';
import type { TakeEvent } from './takeEvent.ts';
import type { WholeVerdict } from './wholeTake.ts';

/** What there may be to judge that a take does not tell. */
export const NOT_JUDGED = ['pitch', 'onset', 'dynamics'] as const;
export type NotJudged = (typeof NOT_JUDGED)[number];

/** What became of a take. */
export interface TakeAnalysis {
  beatZeroSeconds: number;
  /** In the player's own time: how long each item of the score was held, in beats. Absent in time. */
  playedBeats?: number[];
  /** One an item of the exercise's score; where it goes on until the player stops, up to there. */
  items: ItemAnalysis[];
  events: TakeEvent[];
  /** Of the only note, or over all notes. */
  measures: TakeMeasures;
  verdict: WholeVerdict;
  /** What could not be judged in this take; its measures are null. Absent in takes of before there were drones. */
  notJudged?: NotJudged[];
  /** What was done to its level on the way here; its figures of level are null. Absent where nothing was. */
  processing?: SoundProcessing;
}
