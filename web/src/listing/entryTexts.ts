import type { NoteNaming } from '@inner-hum/core/horn';
import type { TFunction } from 'i18next';
import { exerciseName, noteText } from '../notation/index.ts';
import type { ShelfEntry } from './shelfEntries.ts';

/** What an entry is found by, first what says most: its name, other words for it, what it is for, how it is played, its lowest and highest note. */
export function entryTexts({ familyId, written }: ShelfEntry, naming: NoteNaming, t: TFunction): string[] {
  const { lowest = null, highest = null } = written?.extent ?? {};
  const ends = [lowest, highest].flatMap((midi) => (midi === null ? [] : [noteText(midi, naming)])).join(' ');
  if (familyId === null) {
    return [written ? exerciseName(written.exercise, t) : '', '', '', '', ends];
  }
  return [
    t(`familyName.${familyId}`),
    t(`familySearch.${familyId}`),
    t(`familyPurpose.${familyId}`),
    t(`familyHow.${familyId}`),
    ends,
  ];
}
