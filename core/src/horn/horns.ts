import { CoreError } from '../signal/index.ts';
import { soundingMidi, writtenMidi, type SoundingMidi, type WrittenMidi } from './pitch.ts';

interface HornRow {
  /** Sounding minus written, in semitones. */
  transposition: number;
  /** Lowest and highest regular written note. */
  lowest: WrittenMidi;
  highest: WrittenMidi;
  /** Sounding pitch commonly aimed at on the mouthpiece alone; schools and mouthpieces differ, so it can be moved. */
  mouthpieceMidi: SoundingMidi;
  /** On mouthpiece and neck: from their length with the missing tip of the cone; a start, to be moved to what sounds. */
  neckMidi: SoundingMidi;
  /** Length of the missing tip of the cone, in m, before it is measured. */
  coneTipM: number;
  /** Common fingerings of high notes to start from, by written note. */
  highFingerings: Readonly<Record<number, readonly string[]>>;
}

const row = (
  transposition: number,
  lowest: number,
  [mouthpieceMidi, neckMidi]: readonly [number, number],
  coneTipM: number,
  highFingerings: HornRow['highFingerings'] = {},
): HornRow => ({
  transposition,
  lowest: writtenMidi(lowest),
  highest: writtenMidi(90),
  mouthpieceMidi: soundingMidi(mouthpieceMidi),
  neckMidi: soundingMidi(neckMidi),
  coneTipM,
  highFingerings,
});

/** All that is known of a horn, a row each. The baritone has its low A. */
const ROWS = {
  soprano: row(-2, 58, [84, 78], 0.13),
  alto: row(-9, 58, [81, 68], 0.2, {
    91: ['oct L1 L3 R1 sideBb'],
    93: ['oct L2 L3', 'oct L2 L3 R1 R2 R3'],
  }),
  tenor: row(-14, 58, [79, 64], 0.26),
  baritone: row(-21, 57, [74, 59], 0.38),
};

export type HornId = keyof typeof ROWS;

export interface Horn extends HornRow {
  id: HornId;
}

export const HORN_IDS = Object.keys(ROWS) as HornId[];
export const HORNS: readonly Horn[] = HORN_IDS.map((id) => ({ id, ...ROWS[id] }));

/** Whether this is the name of a horn. */
export function isHornId(value: unknown): value is HornId {
  return HORN_IDS.some((id) => id === value);
}

/** Throws `horn-unknown` where there is no such horn: another one in its place would judge every note wrongly. */
export function hornById(id: HornId): Horn {
  const horn = HORNS.find((candidate) => candidate.id === id);
  if (!horn) throw new CoreError('horn-unknown', `${id} is no horn: there are ${HORN_IDS.join(', ')}.`);
  return horn;
}

/** What a written note sounds on a horn: written C5 of the alto sounds Eb4. */
export function toSounding(note: WrittenMidi, { transposition }: Horn): SoundingMidi {
  return soundingMidi(note + transposition);
}

/** What is written for a sounding note on a horn: the inverse of `toSounding`. */
export function toWritten(note: SoundingMidi, { transposition }: Horn): WrittenMidi {
  return writtenMidi(note - transposition);
}
