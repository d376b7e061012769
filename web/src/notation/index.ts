// How music and what is said of it are written: note names, fingerings, verdicts, figures, extents. No controls.
export { NoteGlyph, noteText, shortNote, signedNote } from './NoteGlyph.tsx';
export { nameNotesInTexts } from './notesInTexts.ts';
export { axisCents, centsText } from './centsText.ts';
export { HairpinIcon } from './HairpinIcon.tsx';
export { CallWords } from './CallWords.tsx';
export { exerciseName, familyName } from './familyName.ts';
export { findingText } from './findingText.ts';
export { headlineText, type JudgedTake } from './headlineText.ts';
export { NamedNoteGlyph } from './NamedNoteGlyph.tsx';
export { namedNoteText } from './namedNoteText.ts';
export { FingeringDiagram, fingeringText } from './FingeringDiagram.tsx';
export { extentText } from './extentText.ts';
export { signedKey } from './signedKey.ts';
export { holdsWords } from './holdsWords.ts';
export { reedName } from './reedName.ts';
export { figureText, measureText } from './measureText.ts';
