// Small shared parts without data access: what two rooms would otherwise each draw their own way.
export { NoteGlyph, noteText, shortNote } from './NoteGlyph.tsx';
export { Key } from './Key.tsx';
export { Choice, type ChoiceOption } from './Choice.tsx';
export { HairpinIcon } from './HairpinIcon.tsx';
export { downloadFile } from './downloadFile.ts';
export { nextTempo } from './nextTempo.ts';
export { OptionFields } from './OptionFields.tsx';
export { NumberField } from './NumberField.tsx';
export { Select, type SelectGroup } from './Select.tsx';
export { ActionButton, ActionLink } from './ActionButton.tsx';
export { RoomHeading } from './RoomHeading.tsx';
export { CallWords } from './CallWords.tsx';
export { exerciseName, familyName } from './familyName.ts';
export { findingText, VerdictWords, verdictText } from './VerdictWords.tsx';
export { extentText } from './extentText.ts';
export { StarButton } from './StarButton.tsx';
export { useFreeKeys } from './useFreeKeys.ts';
export { useNarrow } from './useNarrow.ts';
