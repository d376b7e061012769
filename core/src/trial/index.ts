// What helped: two cues tried against each other, a tone before and after. Statistics of one's own playing, and no words.
export {
  cueOrder,
  LEAST_PAIRS,
  MOST_PAIRS,
  QUESTIONS,
  trialExercise,
  trialOrder,
  TRIAL_TONES,
  type CueTrial,
  type Question,
  type Side,
  type TrialTone,
} from './cueTrial.ts';
export {
  measureOf,
  TRIAL_FIGURES,
  TRIAL_MEASURES,
  trialResult,
  type Sitting,
  type TrialMeasure,
  type TrialResult,
} from './trialResult.ts';
export { beforeAfter, type BeforeAfter } from './beforeAfter.ts';
