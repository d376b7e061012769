import { calibratedScale, type DynamicScale, type Experience } from '../exercise/index.ts';
import type { NoteRange, WrittenMidi, Horn } from '../horn/index.ts';
import { spokeAsWritten, type ToleranceId } from '../judge/index.ts';
import { figureOf, type PractisedNote } from '../practice/index.ts';

/** What one hearing of a player showed. */
export interface Hearing {
  /** `yyyy-MM-dd` */
  day: string;
  /** The lowest and the highest note that spoke by its own fingering. */
  lowest: WrittenMidi;
  highest: WrittenMidi;
  /** The softest and the loudest of the note that grew and faded, in dBFS; null: not played. */
  loudness: { softDb: number; loudDb: number } | null;
  /** How far the pitch of the easy note strayed, in cents; null: not heard. */
  spreadCents: number | null;
  /** Overtones that spoke, in half steps over their fundamental. */
  overtones: number[];
}

/** The easiest note, B4: it comes first, held at one level. */
const EASY = 71;

function hearingOf(day: string, notes: readonly PractisedNote[]): Hearing | null {
  const spoken = notes.filter((note) => note.seconds > 0 && spokeAsWritten(figureOf(note, 'centsMean')));
  const own = spoken
    .filter(({ writtenMidi, fingeredMidi }) => writtenMidi === fingeredMidi)
    .map(({ writtenMidi }) => writtenMidi)
    .toSorted((a, b) => a - b);
  const [lowest, highest] = [own.at(0), own.at(-1)];
  if (lowest === undefined || highest === undefined) return null;
  const [grown] = spoken
    .flatMap((note) => {
      const [softDb, spanDb] = [figureOf(note, 'softestDb'), figureOf(note, 'dynamicSpanDb')];
      return softDb === null || spanDb === null ? [] : { softDb, loudDb: softDb + spanDb };
    })
    .toSorted((a, b) => b.loudDb - b.softDb - (a.loudDb - a.softDb));
  const easy = spoken.find(({ writtenMidi, fingeredMidi }) => writtenMidi === EASY && fingeredMidi === EASY);
  return {
    day,
    lowest,
    highest,
    loudness: grown ?? null,
    spreadCents: easy ? figureOf(easy, 'centsSpread') : null,
    overtones: [
      ...new Set(
        spoken.flatMap(({ writtenMidi, fingeredMidi }) =>
          writtenMidi > fingeredMidi ? [writtenMidi - fingeredMidi] : [],
        ),
      ),
    ].toSorted((a, b) => a - b),
  };
}

/** Every hearing there was, one a day, the newest first. */
export function hearings(notes: readonly PractisedNote[]): Hearing[] {
  const days = new Map<string, PractisedNote[]>();
  for (const note of notes)
    if (note.family === 'firstHearing') days.set(note.day, [...(days.get(note.day) ?? []), note]);
  return [...days]
    .toSorted(([a], [b]) => b.localeCompare(a))
    .flatMap(
      ([day, own]) =>
        hearingOf(
          day,
          own.toSorted((a, b) => a.at - b.at),
        ) ?? [],
    );
}

/** What a hearing suggests; the player has the last word. */
export interface HearingProposal {
  experience: Experience;
  toleranceId: ToleranceId;
  /** Null: all that the horn has. */
  range: NoteRange | null;
  /** The player's own scale at this place; null: soft and loud were not far enough apart to tell. */
  scale: DynamicScale | null;
}

const LOW_C = 60;
const LOW_B = 59;
const HIGH_C = 84;
const HIGH_E = 88;
const TWELFTH = 19;
/** Whoever strays more on the easiest note is judged more gently. */
const RELAXED_FROM_CENTS = 10;

/** What a hearing says of how to judge and to plan: by what spoke, not by years. */
export function hearingProposal(hearing: Hearing, horn: Pick<Horn, 'lowest' | 'highest'>): HearingProposal {
  const { lowest, highest, overtones, spreadCents, loudness } = hearing;
  const isAdvanced = lowest <= LOW_B && highest >= HIGH_E && overtones.includes(TWELFTH);
  const experience = isAdvanced
    ? 'advanced'
    : lowest <= LOW_C && highest >= HIGH_C
      ? 'someYears'
      : 'firstYear';
  const isWhole = lowest <= horn.lowest && highest >= horn.highest - 1;
  return {
    experience,
    toleranceId: experience === 'firstYear' || (spreadCents ?? 0) > RELAXED_FROM_CENTS ? 'relaxed' : 'usual',
    range: isWhole ? null : { lowest, highest },
    scale: loudness && calibratedScale(loudness.softDb, loudness.loudDb),
  };
}
