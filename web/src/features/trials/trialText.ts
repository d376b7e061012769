import { FIGURES } from '@inner-hum/core/figures';
import { TRIAL_FIGURES, type TrialMeasure } from '@inner-hum/core/trial';
import type { TFunction } from 'i18next';
import { decimals } from '../../words/index.ts';
import type { PlayedTrial } from './useTrials.ts';

/** Of these less is not better in itself. */
const NEUTRAL: readonly TrialMeasure[] = ['noiseToHarmonicDb', 'centroidHarmonics'];

/** A figure of a trial with its unit. */
export function trialFigure(value: number, measure: TrialMeasure, t: TFunction): string {
  const { unit, digits } = FIGURES[TRIAL_FIGURES[measure]];
  // Means of many differ by less than one is told of; a millisecond is little enough.
  return t(`trend.unit.${unit}`, { value: decimals(value, unit === 'ms' ? digits : digits + 1) });
}

/** What a trial shows, in one honest sentence or two. */
export function resultText({ trial, result, played }: PlayedTrial, t: TFunction): string {
  const { cues, measure, pairs } = trial;
  if (result.less === 'open') return t('trial.open', { played, count: pairs });
  const { difference } = result;
  if (!difference) return t('trial.unmeasured');
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
