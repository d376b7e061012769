import { TREND_MEASURES } from '@inner-hum/core/practice';
import * as yup from 'yup';
import { fault } from '../../forms/index.ts';
import { MOST_AIM_TEXT } from '../../storage/index.ts';

/** An aim as it is filled in. `today`: an aim by a day that has passed is none. */
export const aimForm = (today: string) =>
  yup.object({
    text: yup.string().trim().max(MOST_AIM_TEXT).required(fault('aimText')),
    measure: yup.string().oneOf(TREND_MEASURES).required(),
    /** `zone:low`, `note:62`, or empty: anywhere. */
    place: yup.string().defined(),
    target: yup.number().typeError(fault('targetNumber')).required(fault('targetNumber')),
    /** `yyyy-MM-dd`, or empty: by no day. */
    byDay: yup
      .string()
      .defined()
      .test('to come', fault('dayPassed'), (day) => day === '' || day >= today),
  });

export type AimForm = yup.InferType<ReturnType<typeof aimForm>>;
