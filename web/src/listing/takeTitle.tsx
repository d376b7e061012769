import { notesOf, scoreOf, type NoteItem } from '@inner-hum/core/exercise';
import type { NoteNaming } from '@inner-hum/core/horn';
import type { TFunction } from 'i18next';
import { useTranslation } from 'react-i18next';
import { exerciseName, NoteGlyph, noteText } from '../notation/index.ts';
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

/** "G4, pp ff pp" for a note, "Quiet descent, C#4 to Bb3" for a line, or free playing. */
export function TakeTitle({ take, naming }: { take: TakeRecord; naming: NoteNaming }) {
  const { t } = useTranslation();
  const notes = notesIn(take);
  const first = notes.at(0);
  const last = notes.at(-1);
  if (!first || !last) return <>{t(plainTitle(take))}</>;
  if (notes.length === 1)
    return (
      <>
        <NoteGlyph midi={first.writtenMidi} naming={naming} octave />, <em>{marksOf(notes)}</em>
      </>
    );
  return (
    <>
      {exerciseName(take.context?.exercise ?? NO_NAME, t)},{' '}
      <NoteGlyph midi={first.writtenMidi} naming={naming} octave /> {t('takes.toNote')}{' '}
      <NoteGlyph midi={last.writtenMidi} naming={naming} octave />
    </>
  );
}

/** The same as plain text. */
export function takeName(take: TakeRecord, naming: NoteNaming, t: TFunction): string {
  const notes = notesIn(take);
  const first = notes.at(0);
  if (!first) return t(plainTitle(take));
  return notes.length === 1
    ? `${noteText(first.writtenMidi, naming)}, ${marksOf(notes)}`
    : `${exerciseName(take.context?.exercise ?? NO_NAME, t)}, ${noteText(first.writtenMidi, naming)}`;
}

/** With its day and time, for lists. */
export const takeLabel = (take: TakeRecord, naming: NoteNaming, t: TFunction) =>
  `${takeName(take, naming, t)} · ${dateText(playedAt(take), 'shortDayTime')}`;
