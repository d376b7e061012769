import { LEAST_MIDI, MOST_MIDI } from '@inner-hum/core/exercise';
import * as yup from 'yup';
import { CHECK_KINDS, REED_PLAYS } from './gearRecords.ts';
import { day, finiteOrNull, horn, id, scale, text, time, timeOrNot } from './rowFields.ts';
import type { OwnTable } from './tables.ts';

/** What the rows of the Case must be: horn, mouthpieces, reeds, and the loudness they were set by. */
export const GEAR_ROWS = {
  calibrations: yup.object({
    id,
    madeAt: time,
    roomFloorDb: finiteOrNull,
    scale: scale.nullable(),
    roundTripSeconds: finiteOrNull,
  }),
  mouthpieces: yup.object({ id, hornId: horn, name: text(200), createdAt: time }),
  highFingerings: yup.object({
    id: text(400),
    mouthpieceId: id,
    writtenMidi: yup.number().integer().min(LEAST_MIDI).max(MOST_MIDI).required(),
    fingering: text(200),
    preferred: yup.boolean().required(),
    removed: yup.boolean().required(),
    changedAt: time,
  }),
  reeds: yup.object({
    id,
    hornId: horn,
    kind: text(200),
    name: text(200),
    createdAt: time,
    retiredAt: timeOrNot,
    remarks: yup
      .array(
        yup.object({
          at: time,
          how: yup.string().oneOf(REED_PLAYS).required(),
          text: text(2000),
        }),
      )
      .required(),
  }),
  hornChecks: yup.object({
    id,
    hornId: horn,
    day,
    kind: yup.string().oneOf(CHECK_KINDS).required(),
    text: text(2000),
  }),
} satisfies Partial<Record<OwnTable, yup.ObjectSchema<yup.AnyObject>>>;
