import { CoreError } from '../signal/index.ts';
import { soundingMidi, writtenMidi, type SoundingMidi, type WrittenMidi } from './pitch.ts';

export type HornId = 'soprano' | 'alto' | 'tenor' | 'baritone';

export interface Horn {
  id: HornId;
  /** Sounding minus written, in semitones. */
  transposition: number;
  /** Lowest and highest regular written note. */
  lowest: WrittenMidi;
  highest: WrittenMidi;
}

const horn = (id: HornId, transposition: number, lowest: number): Horn => ({
  id,
  transposition,
  lowest: writtenMidi(lowest),
  highest: writtenMidi(90),
});

/** Further family members are one more line here. The baritone has its low A. */
export const HORNS: readonly Horn[] = [
  horn('soprano', -2, 58),
  horn('alto', -9, 58),
  horn('tenor', -14, 58),
  horn('baritone', -21, 57),
];

export const HORN_IDS = HORNS.map(({ id }) => id);

export function isHornId(value: unknown): value is HornId {
  return HORN_IDS.some((id) => id === value);
}

/** Throws `horn-unknown` where there is no such horn: another one in its place would judge every note wrongly. */
export function hornById(id: HornId): Horn {
  const horn = HORNS.find((candidate) => candidate.id === id);
  if (!horn) throw new CoreError('horn-unknown', `${id} is no horn: there are ${HORN_IDS.join(', ')}.`);
  return horn;
}

export function toSounding(note: WrittenMidi, { transposition }: Horn): SoundingMidi {
  return soundingMidi(note + transposition);
}

export function toWritten(note: SoundingMidi, { transposition }: Horn): WrittenMidi {
  return writtenMidi(note - transposition);
}
