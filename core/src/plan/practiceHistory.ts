import { skillOf, type Skill } from '../exercise/index.ts';
import type { WrittenMidi } from '../horn/index.ts';
import { zoneOfNote, type PractisedNote, type Zone } from '../practice/index.ts';

/** What was played of something, latest first. */
export type Tries = readonly Pick<PractisedNote, 'at' | 'asWritten'>[];

/** Practice looked up by what it was of. */
export interface PracticeHistory {
  ofNote(skill: Skill, midi: WrittenMidi): Tries;
  ofZone(skill: Skill, zone: Zone): Tries;
  ofFamily(family: string, zone: Zone): Tries;
}

const NONE: Tries = [];

/** Sorts practice once, so that every need is a look-up; `until`: what came later is left out, in ms. */
export function practiceHistory(notes: readonly PractisedNote[], until: number): PracticeHistory {
  const found = new Map<string, PractisedNote[]>();
  const add = (name: string, note: PractisedNote) => {
    const own = found.get(name);
    if (own) own.push(note);
    else found.set(name, [note]);
  };
  for (const note of notes.filter(({ at }) => at <= until).toSorted((a, b) => b.at - a.at)) {
    const { family, fingeredMidi } = note;
    const zone = zoneOfNote(fingeredMidi);
    add(`${skillOf(family)} ${fingeredMidi}`, note);
    add(`${skillOf(family)} ${zone}`, note);
    if (family !== null) add(`${family} in ${zone}`, note);
  }
  return {
    ofNote: (skill, midi) => found.get(`${skill} ${midi}`) ?? NONE,
    ofZone: (skill, zone) => found.get(`${skill} ${zone}`) ?? NONE,
    ofFamily: (family, zone) => found.get(`${family} in ${zone}`) ?? NONE,
  };
}
