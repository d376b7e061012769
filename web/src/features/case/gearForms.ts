import * as yup from 'yup';
import { fault } from '../../forms/index.ts';
import {
  CHECK_KINDS,
  MOST_CHECK_TEXT,
  MOST_MOUTHPIECE_NAME,
  MOST_REED_NAME,
  MOST_REMARK,
  REED_PLAYS,
} from '../../storage/index.ts';

/** A reed as it is filled in; one without a name is one of its kind. */
export const reedForm = yup.object({
  kind: yup.string().trim().max(MOST_REED_NAME).required(fault('reedKind')),
  name: yup.string().trim().max(MOST_REED_NAME).defined(),
});

/** How a reed plays, as it is filled in. */
export const remarkForm = yup.object({
  how: yup.string().oneOf(REED_PLAYS).required(),
  text: yup.string().trim().max(MOST_REMARK).defined(),
});

/** What was done to the horn, as it is filled in: what is none of the usual things needs a word. */
export const hornCheckForm = yup.object({
  kind: yup.string().oneOf(CHECK_KINDS).required(),
  day: yup.string().required(),
  text: yup
    .string()
    .trim()
    .max(MOST_CHECK_TEXT)
    .defined()
    .when('kind', { is: 'other', then: (text) => text.required(fault('checkText')) }),
});

export const mouthpieceForm = yup.object({
  name: yup.string().trim().max(MOST_MOUTHPIECE_NAME).required(fault('mouthpieceName')),
});
