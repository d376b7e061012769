import { SKILLS, skillOf, type Skill } from '../exercise/index.ts';
import type { PractisedNote } from './practisedNotes.ts';
import { ZONES, zoneOfNote, type Zone } from './zone.ts';

/** Seconds of tone, by where they lay on the horn and by what they were for. */
export interface Practice {
  zones: Record<Zone, number>;
  skills: Record<Skill, number>;
}

const zeros = <Name extends string>(names: readonly Name[]) =>
  Object.fromEntries(names.map((name) => [name, 0])) as Record<Name, number>;

/** How long was played where and for what: seconds in which notes sounded, as they were fingered. */
export function practiceOf(notes: readonly PractisedNote[]): Practice {
  const practice: Practice = { zones: zeros(ZONES), skills: zeros(SKILLS) };
  for (const { fingeredMidi, family, seconds } of notes) {
    practice.zones[zoneOfNote(fingeredMidi)] += seconds;
    practice.skills[skillOf(family)] += seconds;
  }
  return practice;
}
