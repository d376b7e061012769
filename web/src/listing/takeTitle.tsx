import { notesOf, scoreOf, type NoteItem } from '@inner-hum/core/exercise';
import type { NoteNaming } from '@inner-hum/core/horn';
import type { TFunction } from 'i18next';
import { useTranslation } from 'react-i18next';
import { exerciseName, NamedNoteGlyph, namedNoteText, NoteGlyph, noteText } from '../notation/index.ts';
import { playedAt, type TakeRecord } from '../storage/index.ts';
import { dateText } from '../words/index.ts';

/** A take that has lost what was written. */
const NO_NAME = { family: null };

const notesIn = ({ context }: TakeRecord): NoteItem[] =>
  context ? notesOf(scoreOf(context.exercise)).map(({ item }) => item) : [];

function marksOf(notes: readonly NoteItem[]): string {
  const marks = notes.flatMap(({ dynamics }) => dynamics.map(({ mark }) => mark));
  return marks.filter((mark, i) => mark !== marks[i - 1]).join(' – ');
}

const plainTitle = ({ kind }: TakeRecord) => (kind === 'other' ? 'takes.other' : 'takes.free');

/** The first note of anything that is no note, as the air of a comparison. */
const firstMidi = ({ context }: TakeRecord): number | null => {
  const item = context && scoreOf(context.exercise).find((each) => 'writtenMidi' in each.item)?.item;
  return item && 'writtenMidi' in item ? item.writtenMidi : null;
};

/** "G4, pp ff pp" for a note, "Quiet descent, C#4 to Bb3" for a line, "Two lips, G4" for bare air, or free playing. */
export function TakeTitle({ take, naming }: { take: TakeRecord; naming: NoteNaming }) {
  const { t } = useTranslation();
  const notes = notesIn(take);
  const first = notes.at(0);
  const last = notes.at(-1);
  const name = exerciseName(take.context?.exercise ?? NO_NAME, t);
  if (!first || !last) {
    const midi = firstMidi(take);
    if (midi === null) return <>{t(plainTitle(take))}</>;
    return (
      <>
        {name}, <NoteGlyph midi={midi} naming={naming} octave />
      </>
    );
  }
  if (notes.length === 1)
    return (
      <>
        <NamedNoteGlyph note={first} naming={naming} />, <em>{marksOf(notes)}</em>
      </>
    );
  return (
    <>
      {name}, <NoteGlyph midi={first.writtenMidi} naming={naming} octave />
      {last.writtenMidi !== first.writtenMidi && (
        <>
          {' '}
          {t('takes.toNote')} <NoteGlyph midi={last.writtenMidi} naming={naming} octave />
        </>
      )}
    </>
  );
}

/** The same as plain text. */
export function takeName(take: TakeRecord, naming: NoteNaming, t: TFunction): string {
  const notes = notesIn(take);
  const first = notes.at(0);
  const name = exerciseName(take.context?.exercise ?? NO_NAME, t);
  if (first)
    return notes.length === 1
      ? `${namedNoteText(first, naming, t)}, ${marksOf(notes)}`
      : `${name}, ${noteText(first.writtenMidi, naming)}`;
  const midi = firstMidi(take);
  return midi === null ? t(plainTitle(take)) : `${name}, ${noteText(midi, naming)}`;
}

/** With its day and time, for lists. */
export const takeLabel = (take: TakeRecord, naming: NoteNaming, t: TFunction) =>
  `${takeName(take, naming, t)} · ${dateText(playedAt(take), 'shortDayTime')}`;
