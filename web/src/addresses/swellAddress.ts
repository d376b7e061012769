import { SWELL_SHAPES, type SwellRequest } from '@inner-hum/core/exercise';
import { hornById, writtenMidi, type HornId } from '@inner-hum/core/horn';
import * as yup from 'yup';

/** An easy middle note: G4 on every horn. */
const EASY_NOTE = 67;

const params = {
  note: yup.number().integer().min(57).max(90).default(EASY_NOTE),
  shape: yup.string().oneOf(SWELL_SHAPES).default('growFade'),
  beats: yup.number().integer().min(2).max(32).default(8),
  tempoBpm: yup.number().integer().min(30).max(200).default(60),
  start: yup.string().oneOf(['playToStart', 'countIn']).default('playToStart'),
} as const;

/** Reads the exercise from the address, field by field; what is missing or wrong becomes the usual. */
export function readSwell(search: URLSearchParams, hornId: HornId): SwellRequest {
  const raw = Object.fromEntries(search);
  const read = <Name extends keyof typeof params>(name: Name) => {
    const field = params[name] as unknown as yup.Schema;
    return (field.isValidSync(raw[name]) ? field.cast(raw[name]) : field.getDefault()) as SwellRequest[Name];
  };
  const horn = hornById(hornId);
  const note = Math.max(horn.lowest, Math.min(horn.highest, Number(read('note'))));
  return {
    note: writtenMidi(note),
    shape: read('shape'),
    beats: read('beats'),
    tempoBpm: read('tempoBpm'),
    start: read('start'),
  };
}

/** The address of an exercise: every state of the Stand has one. */
export function swellSearch({ note, shape, beats, tempoBpm, start }: SwellRequest): string {
  return new URLSearchParams({
    note: String(note),
    shape,
    beats: String(beats),
    tempoBpm: String(tempoBpm),
    start,
  }).toString();
}
