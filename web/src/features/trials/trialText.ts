import { FIGURES } from '@inner-hum/core/figures';
import {
  TRIAL_FIGURES,
  type CueTrial,
  type Side,
  type TrialMeasure,
  type TrialResult,
} from '@inner-hum/core/trial';
import type { TFunction } from 'i18next';
import { decimals } from '../../words/index.ts';
import type { PlayedTrial } from './useTrials.ts';

/** Of these less is not better in itself. */
const NEUTRAL: readonly TrialMeasure[] = ['noiseToHarmonicDb', 'centroidHarmonics'];

/** A figure of a trial with its unit. */
export function trialFigure(value: number, measure: TrialMeasure, t: TFunction): string {
  // Of one that is counted: so often of a hundred.
  if (measure === 'spokeAtOnce') return t('trend.unit.percent', { value: decimals(100 * value, 0) });
  const { unit, digits } = FIGURES[TRIAL_FIGURES[measure]];
  // Means of many differ by less than one is told of; a millisecond is little enough.
  return t(`trend.unit.${unit}`, { value: decimals(value, unit === 'ms' ? digits : digits + 1) });
}

/** How often a note spoke at once either way, and whether one of them is shown to be the better. */
function spokeText({ pairs, less }: TrialResult, cues: CueTrial['cues'], t: TFunction): string {
  const spoke = (side: Side) => pairs.filter((pair) => pair[side] === 1).length;
  const told = t('trial.spoke', { ...cues, inA: spoke('a'), inB: spoke('b'), count: pairs.length });
  if (less === 'none' || less === 'open') return `${told} ${t('trial.spokeSame')}`;
  return `${told} ${t('trial.helped', { cue: cues[less === 'a' ? 'b' : 'a'], count: pairs.length })}`;
}

/** What a trial shows, in one honest sentence or two. */
export function resultText({ trial, result, played }: PlayedTrial, t: TFunction): string {
  const { cues, measure, pairs } = trial;
  if (result.less === 'open') return t('trial.open', { played, count: pairs });
  const { difference } = result;
  if (!difference) return t('trial.unmeasured');
  if (measure === 'spokeAtOnce') return spokeText(result, cues, t);
  const name = t(`trial.measure.${measure}`);
  if (result.less === 'none')
    return t('trial.none', {
      name,
      a: cues.a,
      b: cues.b,
      mean: trialFigure(difference.mean, measure, t),
      low: trialFigure(difference.low, measure, t),
      high: trialFigure(difference.high, measure, t),
    });
  const isA = result.less === 'a';
  const [low, high] = isA ? [difference.low, difference.high] : [-difference.high, -difference.low];
  const said = t('trial.less', {
    name,
    cue: cues[result.less],
    other: cues[isA ? 'b' : 'a'],
    by: trialFigure(Math.abs(difference.mean), measure, t),
    low: trialFigure(low, measure, t),
    high: trialFigure(high, measure, t),
  });
  return NEUTRAL.includes(measure)
    ? said
    : `${said} ${t('trial.helped', { cue: cues[result.less], count: result.pairs.length })}`;
}
