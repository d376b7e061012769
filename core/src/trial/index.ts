// What helped: two cues tried against each other, a tone before and after. Statistics of one's own playing, and no words.
export {
  cueOrder,
  LEAST_PAIRS,
  MOST_PAIRS,
  QUESTIONS,
  trialExercise,
  trialOrder,
  type CueTrial,
  type Question,
} from './cueTrial.ts';
export {
  TRIAL_ATTACKS,
  TRIAL_TONES,
  usualAttacks,
  type Side,
  type TrialAttack,
  type TrialTone,
} from './trialTones.ts';
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
