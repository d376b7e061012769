import { figureRow, type KeptFigure } from '../figures/index.ts';
import { spokeAtOnce, type TakeAnalysis, type TakeContext } from '../judge/index.ts';
import { figureOf, practisedNotes } from '../practice/index.ts';
import { meanWithInterval, type MeanInterval } from '../stats/index.ts';
import type { Side } from './trialTones.ts';

/** What a trial may be decided by, chosen before it; `Off` and `Size` count either side alike. */
export const TRIAL_MEASURES = [
  'responseMs',
  'spokeAtOnce',
  'centsOff',
  'centsSpread',
  'levelSpreadDb',
  'swellErrorDb',
  'bendSize',
  'noiseToHarmonicDb',
  'centroidHarmonics',
] as const;
export type TrialMeasure = (typeof TRIAL_MEASURES)[number];

/** The figure that a measure is the value, or the size, of; `spokeAtOnce` is no figure, but counted: 1 where the note did, 0 where not. */
export const TRIAL_FIGURES = {
  responseMs: 'responseMs',
  centsOff: 'centsMean',
  centsSpread: 'centsSpread',
  levelSpreadDb: 'levelSpreadDb',
  swellErrorDb: 'swellErrorDb',
  bendSize: 'pitchSlopeCentsPer10Db',
  noiseToHarmonicDb: 'noiseToHarmonicDb',
  centroidHarmonics: 'centroidHarmonics',
} as const satisfies Record<Exclude<TrialMeasure, 'spokeAtOnce'>, KeptFigure>;

/** The measure of a played phrase of a trial; null where there is no answer. */
export function trialValue(
  context: Pick<TakeContext, 'exercise'>,
  analysis: TakeAnalysis,
  measure: TrialMeasure,
): number | null {
  if (measure === 'spokeAtOnce') {
    const item = analysis.items.at(0);
    const spoke = item ? spokeAtOnce(item) : null;
    return spoke === null ? null : Number(spoke);
  }
  const note = practisedNotes(context, analysis, { day: '', startedAt: 0 }).at(0);
  if (!note) return null;
  const figure = TRIAL_FIGURES[measure];
  const value = figureOf(note, figure);
  return value !== null && figureRow(figure).sides ? Math.abs(value) : value;
}

/** One sitting of a trial: what each phrase had for a cue, and what was measured in it. */
export interface Sitting {
  order: readonly Side[];
  /** Phrase by phrase; null where nothing was measured. */
  values: readonly (number | null)[];
}

export interface TrialResult {
  /** Pairs that are complete, of all that were begun; those with nothing measured on one side are left out and told. */
  pairs: { a: number; b: number }[];
  unmeasured: number;
  /** Mean of b less a with its 90 % interval; null until as many pairs are played as were fixed beforehand. */
  difference: MeanInterval | null;
  /** `a`, `b`: that one measures less; `none`: no difference shown; `open`: not played to its end. */
  less: Side | 'none' | 'open';
}

/**
 * What a trial shows over all its sittings, pair by pair. Nothing before the number of pairs that was fixed: who looks after every pair and
 * stops when it pleases finds differences that are none.
 */
export function trialResult(sittings: readonly Sitting[], pairsWanted: number): TrialResult {
  const pairs: TrialResult['pairs'] = [];
  let unmeasured = 0;
  let played = 0;
  for (const { order, values } of sittings)
    for (let i = 0; i + 1 < Math.min(order.length, values.length); i += 2) {
      const at = (side: Side) => values[order[i] === side ? i : i + 1];
      const [a, b] = [at('a'), at('b')];
      played++;
      if (a === null || b === null) unmeasured++;
      else pairs.push({ a, b });
    }
  const isDone = played >= pairsWanted;
  const difference = isDone ? meanWithInterval(pairs.map(({ a, b }) => b - a)) : null;
  const less = !isDone
    ? 'open'
    : difference === null || (difference.low <= 0 && difference.high >= 0)
      ? 'none'
      : difference.mean > 0
        ? 'a'
        : 'b';
  return { pairs, unmeasured, difference, less };
}
