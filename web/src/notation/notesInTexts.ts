import type { NoteNaming } from '@inner-hum/core/horn';
import i18next from 'i18next';
import { shortNote } from './NoteGlyph.tsx';

/** Notes that explaining texts speak of, as `{{n65}}`: written MIDI numbers. */
const NOTES = [58, 59, 60, 61, 62, 65, 67, 69, 71, 72, 74, 81, 86, 91];

/** Lets texts speak of notes by the player's names for them. */
export function nameNotesInTexts(naming: NoteNaming): void {
  const { interpolation } = i18next.options;
  const named = Object.fromEntries(NOTES.map((midi) => [`n${midi}`, shortNote(midi, naming)]));
  // Everything on screen is drawn anew by it.
  if (!interpolation || JSON.stringify(named) === JSON.stringify(interpolation.defaultVariables)) return;
  interpolation.defaultVariables = named;
  // Whatever speaks already says it anew.
  i18next.emit('languageChanged', i18next.language);
}
