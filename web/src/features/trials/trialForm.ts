import { MOST_WORD } from '@inner-hum/core/exercise';
import {
  LEAST_PAIRS,
  MOST_PAIRS,
  QUESTIONS,
  TRIAL_ATTACKS,
  TRIAL_MEASURES,
  TRIAL_TONES,
} from '@inner-hum/core/trial';
import * as yup from 'yup';
import { fault } from '../../forms/index.ts';

/** A way of one's own to think of a tone; those that are ready have their words. */
const cue = yup
  .string()
  .trim()
  .max(MOST_WORD)
  .defined()
  .when('question', { is: 'own', then: (own) => own.required(fault('cue')) });
const attack = yup.string().oneOf(TRIAL_ATTACKS).required();

/** A cue trial as it is filled in. */
export const trialForm = yup.object({
  question: yup.string().oneOf(QUESTIONS).required(),
  cueA: cue,
  cueB: cue.when(['question', 'cueA'], ([question, cueA]: string[], other) =>
    question === 'own'
      ? other.test(
          'another',
          fault('cuesAlike'),
          (text) => text.toLocaleLowerCase() !== cueA.trim().toLocaleLowerCase(),
        )
      : other,
  ),
  tone: yup.string().oneOf(TRIAL_TONES).required(),
  measure: yup.string().oneOf(TRIAL_MEASURES).required(),
  /** As written for the horn. */
  note: yup.number().integer().required(),
  attackA: attack,
  attackB: attack,
  pairs: yup.number().integer().min(LEAST_PAIRS).max(MOST_PAIRS).required(),
});

export type TrialForm = yup.InferType<typeof trialForm>;
