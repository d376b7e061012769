import type { Skill } from '../exercise/index.ts';
import type { WrittenMidi } from '../horn/index.ts';
import type { Zone } from '../practice/index.ts';
import type { Candidate } from './candidates.ts';
import type { Tally } from './need.ts';
import type { PathProgress } from './paths.ts';
import type { SchoolItems } from './schools.ts';

/** Why a line stands on the sheet, with its figures; `midi` null: of a zone as a whole. */
export type Reason =
  | { kind: 'opening' }
  | { kind: 'fresh'; zone: Zone; midi: WrittenMidi | null }
  | {
      kind: 'fails';
      skill: Skill;
      zone: Zone;
      midi: WrittenMidi | null;
      judged: number;
      asWritten: number;
      days: number;
    }
  | { kind: 'last'; zone: Zone; midi: WrittenMidi | null; days: number }
  | { kind: 'aim'; zone: Zone; midi: WrittenMidi | null; days: number | null }
  | { kind: 'covers'; done: number; count: number }
  | { kind: 'school' }
  | { kind: 'path'; step: number }
  | { kind: 'routine'; days: number | null }
  | { kind: 'free' };

/** Against this share of success something fails. */
const FAILS = 0.7;
/** Tries that say something of one note. */
const LEAST_TRIES = 3;

const fails = ({ judged, asWritten }: Tally) => judged >= LEAST_TRIES && asWritten < FAILS * judged;

/** The reason with the figure that says most: of the note where there are tries enough, else of its zone. */
export function reasonOf(
  { item: { zone, midi }, need, isSchool, isAimed }: Candidate,
  covered: SchoolItems['covered'],
  progress: PathProgress | null,
): Reason {
  if (isSchool && progress) return { kind: 'path', step: progress.step };
  if (isSchool) return covered ? { kind: 'covers', ...covered } : { kind: 'school' };
  const { note, zone: inZone, skill } = need;
  for (const [tally, of] of [
    [note, midi],
    [inZone, null],
  ] as const)
    if (tally && fails(tally))
      return {
        kind: 'fails',
        skill,
        zone,
        midi: of,
        judged: tally.judged,
        asWritten: tally.asWritten,
        days: Math.floor(tally.daysSince ?? 0),
      };
  if (isAimed) {
    const { daysSince } = note ?? inZone;
    return {
      kind: 'aim',
      zone,
      midi: note ? midi : null,
      days: daysSince === null ? null : Math.floor(daysSince),
    };
  }
  if (inZone.daysSince === null) return { kind: 'fresh', zone, midi: null };
  if (note && note.daysSince === null) return { kind: 'fresh', zone, midi };
  const days = Math.floor((note ?? inZone).daysSince ?? 0);
  return { kind: 'last', zone, midi: note ? midi : null, days };
}
