import { skillOf, type Skill } from '../exercise/index.ts';
import type { WrittenMidi } from '../horn/index.ts';
import { figureOf } from './figures.ts';
import type { PractisedNote } from './practisedNotes.ts';
import { zoneOfNote, type Zone } from './zone.ts';

interface AnyMilestone {
  /** When its take was begun, in ms. */
  at: number;
  writtenMidi: WrittenMidi;
  fingeredMidi: WrittenMidi;
}

/** Something that was so for the first time. */
export type Milestone = AnyMilestone &
  (
    | { kind: 'first'; skill: Skill; tries: number }
    | {
        kind: 'secure';
        skill: Skill;
        asWritten: number;
        tries: number;
        asWrittenBefore: number;
        before: number;
      }
    | { kind: 'longest'; zone: Zone; seconds: number; secondsBefore: number }
    | { kind: 'highest' }
  );

/** So many tries fail before the first success is worth telling. */
const LEAST_TRIES = 6;
/** Secure: so many of so many, where it was at most half before. */
const SECURE = { last: 10, asWritten: 8, before: 8, shareBefore: 0.5 };
/** A hold is longer by a tenth, after two days of such holds. */
const LONGER = 1.1;
const DAYS_OF_HOLDS = 2;

interface Tries {
  all: boolean[];
  isSecure: boolean;
}

/**
 * What was reached, oldest first: a note that came as written after many tries, one that has become secure, a hold that was the
 * longest in its zone by a tenth, a note higher than any before over the regular range. Notes in any order.
 */
export function milestonesOf(notes: readonly PractisedNote[]): Milestone[] {
  const tries = new Map<string, Tries>();
  const holds = new Map<Zone, { best: number; days: Set<string> }>();
  let highest = -Infinity;
  return notes
    .toSorted((a, b) => a.at - b.at)
    .flatMap((note): Milestone[] => {
      const found: Milestone[] = [];
      const { at, writtenMidi, fingeredMidi, asWritten } = note;
      const common = { at, writtenMidi, fingeredMidi };
      const skill = skillOf(note.family);
      const name = [skill, writtenMidi, fingeredMidi].join('/');
      const own = tries.get(name) ?? { all: [], isSecure: false };
      tries.set(name, own);
      const zone = zoneOfNote(fingeredMidi);
      const isHighest = asWritten && zone === 'altissimo' && writtenMidi > highest;
      if (isHighest) {
        highest = writtenMidi;
        found.push({ kind: 'highest', ...common });
      } else if (asWritten && own.all.length >= LEAST_TRIES && !own.all.includes(true))
        found.push({ kind: 'first', ...common, skill, tries: own.all.length + 1 });
      own.all.push(asWritten);
      const secure = own.isSecure ? null : secureIn(own.all);
      if (secure) {
        own.isSecure = true;
        // What is secure from the beginning is no news, but it stays so.
        if (secure.before >= SECURE.before && secure.asWrittenBefore <= SECURE.shareBefore * secure.before)
          found.push({ kind: 'secure', ...common, skill, ...secure });
      }
      const seconds = figureOf(note, 'holdSeconds');
      if (seconds !== null) {
        const held = holds.get(zone) ?? { best: 0, days: new Set() };
        holds.set(zone, held);
        if (seconds > LONGER * held.best) {
          if (held.days.size >= DAYS_OF_HOLDS)
            found.push({ kind: 'longest', ...common, zone, seconds, secondsBefore: held.best });
          held.best = seconds;
        }
        held.days.add(note.day);
      }
      return found;
    });
}

function secureIn(all: readonly boolean[]) {
  const last = all.slice(-SECURE.last);
  const asWritten = last.filter(Boolean).length;
  if (last.length < SECURE.last || asWritten < SECURE.asWritten) return null;
  const before = all.slice(0, -SECURE.last);
  return {
    asWritten,
    tries: last.length,
    before: before.length,
    asWrittenBefore: before.filter(Boolean).length,
  };
}
