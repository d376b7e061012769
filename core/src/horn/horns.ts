import { CoreError } from '../signal/index.ts';
import { soundingMidi, writtenMidi, type SoundingMidi, type WrittenMidi } from './pitch.ts';

interface HornRow {
  /** Sounding minus written, in semitones. */
  transposition: number;
  /** Lowest and highest regular written note; the highest key is the one that most such horns have, a player's may have another. */
  lowest: WrittenMidi;
  highest: WrittenMidi;
  topKey: TopKey;
  /** Sounding pitch commonly aimed at on the mouthpiece alone; schools and mouthpieces differ, so it can be moved. */
  mouthpieceMidi: SoundingMidi;
  /** On mouthpiece and neck: from their length with the missing tip of the cone; a start, to be moved to what sounds. */
  neckMidi: SoundingMidi;
  /** Length of the missing tip of the cone, in m, before it is measured. */
  coneTipM: number;
  /** Common fingerings of high notes to start from, by written note. */
  highFingerings: Readonly<Record<number, readonly string[]>>;
}

/** The highest key of a horn, by the note it is for: F6, F#6, or G6. */
export const TOP_KEYS = ['F', 'F#', 'G'] as const;
export type TopKey = (typeof TOP_KEYS)[number];
const HIGHEST: Record<TopKey, number> = { F: 89, 'F#': 90, G: 91 };

/** The written note of a highest key. */
export const noteOfTopKey = (key: TopKey): WrittenMidi => writtenMidi(HIGHEST[key]);

const row = (
  transposition: number,
  [lowest, topKey]: readonly [number, TopKey],
  [mouthpieceMidi, neckMidi]: readonly [number, number],
  coneTipM: number,
  highFingerings: HornRow['highFingerings'] = COMMON_HIGH,
): HornRow => ({
  transposition,
  lowest: writtenMidi(lowest),
  highest: noteOfTopKey(topKey),
  topKey,
  mouthpieceMidi: soundingMidi(mouthpieceMidi),
  neckMidi: soundingMidi(neckMidi),
  coneTipM,
  highFingerings,
});

const [LOW_A, LOW_B_FLAT] = [57, 58];
// Common practice: forked second-octave fingerings, and the front key with side keys over it. Where to start, no more.
const COMMON_HIGH = {
  91: ['oct L1 L3 R1 sideBb', 'oct frontF sideBb'],
  93: ['oct L2 L3'],
};
const ALTO_HIGH = {
  91: ['oct L1 L3 R1 sideBb'],
  93: ['oct L2 L3', 'oct L2 L3 R1 R2 R3'],
};

/** All that is known of a horn, a row each; the commonest first. A high F# or none is a player's setting, see `hornWithTop`. */
const ROWS = {
  soprano: row(-2, [LOW_B_FLAT, 'F#'], [84, 78], 0.13),
  alto: row(-9, [LOW_B_FLAT, 'F#'], [81, 68], 0.2, ALTO_HIGH),
  tenor: row(-14, [LOW_B_FLAT, 'F#'], [79, 64], 0.26),
  baritone: row(-21, [LOW_A, 'F#'], [74, 59], 0.38),
  baritoneToBb: row(-21, [LOW_B_FLAT, 'F#'], [74, 59], 0.38),
  sopranino: row(3, [LOW_B_FLAT, 'F#'], [86, 81], 0.1),
  cMelody: row(-12, [LOW_B_FLAT, 'F'], [80, 66], 0.23),
  bass: row(-26, [LOW_B_FLAT, 'F#'], [70, 54], 0.5),
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
