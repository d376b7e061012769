import type { TroubleCode } from './troubleCode.ts';

/** Troubles that a new take or a new beginning clears. */
export const SOUND_TROUBLES: TroubleCode[] = [
  'silence',
  'clipping',
  'noisyRoom',
  'lostSound',
  'nothingHeard',
];
/** Troubles that opening the input anew clears. */
export const INPUT_TROUBLES: TroubleCode[] = [
  ...SOUND_TROUBLES,
  'micRefused',
  'micAbsent',
  'micBusy',
  'micUnsupported',
  'micUnplugged',
  'micChanged',
  'micOther',
  'micMuted',
  'deviceChanged',
  'suspended',
  'audioFailed',
  'lowRate',
  'keptProcessing',
];
