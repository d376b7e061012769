import { isInKey, spellNote, type NoteValue, type WrittenPart } from '@inner-hum/core/exercise';
import { Accidental, Dot, StaveNote } from 'vexflow/core';
import type { LaidBar } from './layOut.ts';

/** A part of an item with the note that stands for it. */
export interface DrawnPart {
  part: WrittenPart;
  note: StaveNote;
  bar: LaidBar;
}

const VALUES: Record<NoteValue, string> = {
  4: 'w',
  3: 'h',
  2: 'h',
  1.5: 'q',
  1: 'q',
  0.75: '8',
  0.5: '8',
  0.25: '16',
};
const DOTTED: readonly NoteValue[] = [3, 1.5, 0.75];

const keyName = (midi: number, bar: LaidBar) => {
  const { letter, alter, octave } = spellNote(midi, bar.key);
  const sign = alter > 0 ? '#'.repeat(alter) : 'b'.repeat(-alter);
  return { name: `${letter.toLowerCase()}${sign}/${octave}`, letter, sign, octave };
};

/** The note or rest of a part: fingered as another one it has two heads, a diamond for what is fingered. */
export function noteOf({ item, value }: WrittenPart, bar: LaidBar, ink: string): StaveNote {
  const isDotted = DOTTED.includes(value);
  const duration = `${VALUES[value]}${isDotted ? 'd' : ''}`;
  const style = { fillStyle: ink, strokeStyle: ink };
  const isSounded =
    item.kind === 'note' || item.kind === 'air' || item.kind === 'hum' || item.kind === 'hear';
  let note: StaveNote;
  if (isSounded) {
    const own = keyName(item.writtenMidi + bar.shift, bar).name;
    const fingered = item.kind === 'note' && item.fingered !== null ? keyName(item.fingered, bar).name : null;
    const head = item.kind === 'air' ? '/x2' : '';
    const diamond = value >= 2 ? '/d0' : '/d2';
    note = new StaveNote({
      keys: fingered === null ? [`${own}${head}`] : [`${fingered}${diamond}`, own],
      duration,
      autoStem: true,
    });
  } else note = new StaveNote({ keys: ['b/4'], duration: `${duration}r` });
  if (isDotted) Dot.buildAndAttach([note], { all: true });
  note.setStyle(style);
  note.setLedgerLineStyle({ ...style, lineWidth: 1.2 });
  return note;
}

/** Accidentals the key does not give; within a bar each is written once. */
export function markAccidentals(parts: readonly DrawnPart[]): void {
  const shown = new Map<string, string>();
  for (const { part, note, bar } of parts) {
    const { item } = part;
    if (!('writtenMidi' in item) || item.kind === 'imagine') continue;
    const midis =
      item.kind === 'note' && item.fingered !== null ? [item.fingered, item.writtenMidi] : [item.writtenMidi];
    midis.forEach((midi, i) => {
      const { letter, sign, octave } = keyName(midi + bar.shift, bar);
      const place = `${letter}${octave}`;
      const before = shown.get(place) ?? signInKey(letter, bar);
      shown.set(place, sign);
      // What is only tied on needs no new one.
      if (sign !== before && part.inItemBeat === 0)
        note.addModifier(new Accidental(sign === '' ? 'n' : sign), i);
    });
  }
}

/** The sign that the key gives a letter. */
function signInKey(letter: string, { key }: LaidBar): string {
  if (!key) return '';
  const spelled = Array.from({ length: 12 }, (_, i) => 60 + i)
    .filter((midi) => isInKey(midi, key))
    .map((midi) => spellNote(midi, key))
    .find((each) => each.letter === letter);
  return spelled === undefined ? '' : spelled.alter > 0 ? '#' : spelled.alter < 0 ? 'b' : '';
}
