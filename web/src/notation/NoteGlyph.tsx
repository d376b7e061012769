import { spellNote, type MajorKey } from '@inner-hum/core/exercise';
import { nameNote, type NoteNaming } from '@inner-hum/core/horn';
import i18next from 'i18next';

const SHARP = 'M3 6.5 13 3.5M3 15.5 13 12.5M5.5 1.5V21M10.5 0V19.5';
const FLAT = 'M4 0V19C4 19 12 14.5 12 11 12 7.5 7 8 4 11.5';

/** A note's name, spelled as a key has it, or as a saxophone book does. */
const named = (midi: number, naming: NoteNaming, key: MajorKey | null = null) =>
  key === null ? nameNote(midi, naming) : nameNote(midi, naming, spellNote(midi, key));

/** A note's name with an accidental drawn like the rest, since no text face here has one. Sized by its font. */
export function NoteGlyph({
  midi,
  naming,
  octave = false,
  spelledIn = null,
}: {
  midi: number;
  naming: NoteNaming;
  octave?: boolean;
  /** The key that spells it; null: as a saxophone book does. */
  spelledIn?: MajorKey | null;
}) {
  const { stem, accidental, octave: number } = named(midi, naming, spelledIn);
  return (
    <span role="img" aria-label={noteText(midi, naming, spelledIn)} style={{ whiteSpace: 'nowrap' }}>
      {stem}
      {accidental !== '' && (
        <svg viewBox="0 0 16 22" style={{ height: '0.6em', verticalAlign: '0.16em' }} aria-hidden="true">
          <path
            d={accidental === 'sharp' ? SHARP : FLAT}
            fill="none"
            stroke="currentColor"
            strokeWidth={2.2}
            strokeLinecap="round"
          />
        </svg>
      )}
      {octave && (
        <sub
          style={{
            marginLeft: accidental === '' ? 0 : '-0.1em',
            fontSize: 'max(0.32em, 13px)',
            verticalAlign: '-0.12em',
          }}
        >
          {number}
        </sub>
      )}
    </span>
  );
}

/** A note in plain text, for labels and lists: "B flat 4" is read well aloud. */
export function noteText(midi: number, naming: NoteNaming, spelledIn: MajorKey | null = null): string {
  const { stem, accidental, octave } = named(midi, naming, spelledIn);
  return `${stem}${accidental === '' ? '' : ` ${i18next.t(`accidental.${accidental}`)}`} ${octave}`;
}

/** The same where room is scarce: "G4", "B flat 3". */
export function shortNote(midi: number, naming: NoteNaming, spelledIn: MajorKey | null = null): string {
  const { stem, accidental, octave } = named(midi, naming, spelledIn);
  return accidental === ''
    ? `${stem}${octave}`
    : `${stem} ${i18next.t(`accidental.${accidental}`)} ${octave}`;
}

/** Set in type that has the signs: "B♭3". */
export function signedNote(midi: number, naming: NoteNaming): string {
  const { stem, accidental, octave } = nameNote(midi, naming);
  const sign = { sharp: '\u266f', flat: '\u266d', '': '' }[accidental];
  return `${stem}${sign}${octave}`;
}
