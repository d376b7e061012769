import { scoreOf, skillOf, type Exercise, type NoteItem, type Skill } from '@inner-hum/core/exercise';
import type { HornId } from '@inner-hum/core/horn';
import { zoneOfNote, type Zone } from '@inner-hum/core/practice';
import { highHabits, type ItemFault, type SimulatedProfile } from '@inner-hum/core/simulated';
import { answerOf, offOf, profileOf } from './horns.ts';
import { leak, wear } from './story.ts';

export interface Random {
  uniform(): number;
  normal(): number;
}

/** What the invented player can, and how it grows by being practised. */
export interface Learner {
  /** Chance that a note of this kind comes as written. */
  mastery(hornId: HornId, skill: Skill, zone: Zone): number;
  practise(hornId: HornId, skill: Skill, zone: Zone): void;
  sleep(): void;
}

const BEGINS: Record<Zone, number> = { low: 0.32, middle: 0.6, high: 0.5, palm: 0.38, altissimo: 0.2 };
const HARDER: Partial<Record<Skill, number>> = { overtone: -0.12, subtone: -0.1, ear: -0.05 };
const TENOR_LESS = 0.14;
const GAIN = 0.055;
const FORGOTTEN_A_DAY = 0.004;
const MOST = 0.93;
/** Share of what the horn does that a master undoes: pitch, and how late a note answers. */
const LIPPED = 0.6;
const QUICKER = 0.8;
const QUICK_MS = 80;

export function createLearner(): Learner {
  const known = new Map<string, number>();
  const name = (hornId: HornId, skill: Skill, zone: Zone) => `${hornId} ${skill} ${zone}`;
  const begins = (hornId: HornId, skill: Skill, zone: Zone) =>
    Math.max(0.08, BEGINS[zone] + (HARDER[skill] ?? 0) - (hornId === 'tenor' ? TENOR_LESS : 0));
  const mastery = (hornId: HornId, skill: Skill, zone: Zone) =>
    known.get(name(hornId, skill, zone)) ?? begins(hornId, skill, zone);
  return {
    mastery,
    practise(hornId, skill, zone) {
      const p = mastery(hornId, skill, zone);
      known.set(name(hornId, skill, zone), Math.min(MOST, p + GAIN * (1 - p)));
    },
    sleep() {
      for (const [key, p] of known) known.set(key, p * (1 - FORGOTTEN_A_DAY));
    },
  };
}

const pick = <Value>(values: readonly Value[], random: Random) =>
  values[Math.floor(random.uniform() * values.length)];

/** What goes wrong with a note that does not come as written, by what it was for. */
function faultOf(skill: Skill, note: NoteItem, item: number, random: Random): ItemFault {
  const partial = partialOf(note);
  const slip: ItemFault = {
    item,
    kind: 'slip',
    atSeconds: 0.6 + random.uniform(),
    lengthSeconds: 0.25 + 0.3 * random.uniform(),
    toPartial: partial + 1,
  };
  const late: ItemFault = { item, kind: 'slowAnswer', responseMs: 300 + 160 * random.uniform() };
  const off: ItemFault = { item, kind: 'off', cents: (random.uniform() < 0.5 ? -1 : 1) * 30, levelDb: 0 };
  switch (skill) {
    case 'overtone':
      return note.fingered !== null && partial > 1
        ? { item, kind: 'wrongPartial', partial: partial - 1 }
        : slip;
    case 'subtone':
      return note.tone === 'subtone' ? { item, kind: pick(['noSubtone', 'weak'] as const, random) } : late;
    case 'ear':
      return off;
    case 'line':
      return note.attack === 'slurred'
        ? pick<ItemFault>([{ item, kind: 'parted', gapMs: 120 }, off], random)
        : off;
    case 'swell':
      return pick<ItemFault>([{ item, kind: 'latePeak', beats: 0.7 + 0.4 * random.uniform() }, slip], random);
    case 'start':
      return note.writtenMidi < 66 ? pick([late, slip], random) : late;
    default:
      return slip;
  }
}

const partialOf = ({ writtenMidi, fingered }: NoteItem) =>
  fingered === null ? 1 : Math.max(1, Math.round(2 ** ((writtenMidi - fingered) / 12)));

/** How the player plays a phrase on a day: the horn on its notes, and what goes wrong by what is not mastered yet. */
export function playingOf(
  learner: Learner,
  exercise: Exercise,
  hornId: HornId,
  daysAgo: number,
  random: Random,
  seed: number,
): { profile: SimulatedProfile; faults: ItemFault[] } {
  const skill = skillOf(exercise.family);
  const notes = scoreOf(exercise).flatMap(({ item }, i) => (item.kind === 'note' ? [{ item, i }] : []));
  const first = notes.at(0)?.item ?? null;
  const tubeOf = (note: NoteItem) => note.fingered ?? note.writtenMidi;
  const base = first ? tubeOf(first) : 67;
  const worse = 0.25 * leak(hornId, daysAgo) + 0.12 * wear(hornId, daysAgo);
  const mastery = (note: NoteItem) => {
    const zone = zoneOfNote(tubeOf(note));
    return learner.mastery(hornId, skill, zone) - (zone === 'low' ? worse : 0.3 * worse);
  };
  const known = first ? mastery(first) : 0.5;
  // Who knows a note plays against what the horn does with it.
  const lipped = (midi: number) => (1 - LIPPED * known) * offOf(hornId, midi, daysAgo);
  const answer = (midi: number) =>
    QUICK_MS + (1 - QUICKER * known) * (answerOf(hornId, midi, daysAgo) - QUICK_MS);
  const profile = {
    ...profileOf(hornId, base, daysAgo, known),
    tendencyCents: lipped(base),
    responseMs: answer(base),
  };
  const holds = notes.length === 1 && (first?.open ?? false);
  if (holds && first) {
    const seconds = (60 / exercise.tempoBpm) * first.lengthBeats;
    const lasts = seconds * (0.5 + 0.8 * known + 0.15 * random.normal());
    if (lasts < seconds - 0.5)
      profile.swerve = {
        atSeconds: Math.max(2, lasts),
        overSeconds: 0.6,
        cents: -28,
        levelDb: 0,
        breathDb: 0,
      };
    return { profile, faults: [] };
  }
  if (exercise.family === 'highTries') return { profile, faults: highHabits(exercise, hornId, 440, seed) };
  const faults = notes.flatMap(({ item: note, i }): ItemFault[] => {
    const tube = tubeOf(note);
    const tendency = lipped(tube) - lipped(base);
    const quick = answer(tube) - answer(base);
    const own: ItemFault[] = [];
    if (random.uniform() > mastery(note)) own.push(faultOf(skill, note, i, random));
    if (Math.abs(tendency) > 1 && !own.some(({ kind }) => kind === 'off') && note.fingered === null)
      own.push({ item: i, kind: 'off', cents: tendency, levelDb: 0 });
    if (Math.abs(quick) > 40 && note.attack === 'breath' && !own.some(({ kind }) => kind === 'slowAnswer'))
      own.push({ item: i, kind: 'slowAnswer', responseMs: answer(tube) });
    return own;
  });
  return { profile, faults };
}
