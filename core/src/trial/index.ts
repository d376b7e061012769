// What helped: two cues tried against each other, a tone before and after. Statistics of one's own playing, and no words.
export {
  cueOrder,
  LEAST_PAIRS,
  MOST_PAIRS,
  QUESTIONS,
  TRIAL_ATTACKS,
  trialExercise,
  trialOrder,
  TRIAL_TONES,
  type CueTrial,
  type Question,
  type Side,
  type TrialAttack,
  type TrialTone,
  usualAttacks,
} from './cueTrial.ts';
export {
  TRIAL_FIGURES,
  TRIAL_MEASURES,
  trialResult,
  trialValue,
  type Sitting,
  type TrialMeasure,
  type TrialResult,
} from './trialResult.ts';
export { beforeAfter, type BeforeAfter } from './beforeAfter.ts';
