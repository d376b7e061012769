import { CoreError, createRandom, type Random } from '../../signal/index.ts';
import { writtenMidi, type Horn, type WrittenMidi } from '../../horn/index.ts';
import type { DynamicMark } from '../dynamics.ts';
import type { Attack, BendPoint, Exercise, ExerciseItem, NoteItem, Pace, Phrase } from '../exercise.ts';
import { USUAL_EXERCISE, USUAL_PHRASE } from '../usual.ts';
import type { Gate } from '../gates.ts';
import type { HeadlineId } from './headlineId.ts';
import type { Skill } from './skill.ts';
import { chosenOf, type Choices, type Chosen, type Options } from './options.ts';

/** What a family is good for. */
export const PURPOSES = ['start', 'hold', 'swell', 'ear', 'voicing', 'line', 'compare'] as const;
export type Purpose = (typeof PURPOSES)[number];

/** The room in which a family is at home. */
export type Home = 'hearing' | 'shelf' | 'subtone' | 'map' | 'mouthpiece';
export type FamilyTable = 'beforeAfter' | 'everyNote' | 'scaleEnds';

/** A family of drills: one idea of the craft, ready for any horn and range. */
export interface Family<Id extends string = string> {
  /** Its name; it stands in files and addresses. */
  readonly id: Id;
  /** What it counts as practice of. */
  readonly skill: Skill;
  readonly purposes: readonly Purpose[];
  /** What it waits behind on a sheet; null: nothing. */
  readonly gate: Gate | null;
  /** What it is asked. */
  readonly headline: HeadlineId;
  /** Where its results are seen. */
  readonly home: Home;
  /** What its results are shown as besides, in a table of its own. */
  readonly table: FamilyTable | null;
  /** One phrase, which is played again for itself: nothing of it makes a round. */
  readonly isSingle: boolean;
  /** What may be chosen on a horn (whose range is the player's own); null where that range has no room for the family. */
  options(horn: Horn): Options | null;
  /**
   * Completes what was chosen and writes the exercise; `draw` decides what it leaves to chance. Throws `family-no-room` where there are no
   * options.
   */
  build(horn: Horn, choices?: Choices, draw?: number): Exercise;
}

/** What a builder writes; the rest is as the language has it. */
type Draft = Omit<Partial<Exercise>, 'phrases'> & {
  phrases: (Pick<Phrase, 'items'> & Partial<Phrase>)[];
};

interface FamilySpec<Id extends string, Own extends Options> {
  id: Id;
  skill: Skill;
  purposes: readonly Purpose[];
  /** Of subtones it is known. */
  gate?: Gate;
  headline: HeadlineId;
  home?: Home;
  table?: FamilyTable;
  isSingle?: true;
  options(horn: Horn): Own | null;
  /** `random`: for what is drawn by chance. */
  write(chosen: Chosen<Own>, horn: Horn, random: Random): Draft;
}

/** What most families of a skill wait behind. */
const GATE_OF_SKILL: Partial<Record<Skill, Gate>> = { subtone: 'subtone', overtone: 'overtones' };

/**
 * A family from its options and its writer. Tempo and start are written where they are options. The door for exercises from
 * outside (`parseExercise`) takes thirty times as long as this and changes nothing on it.
 */
export function defineFamily<const Id extends string, Own extends Options>(
  spec: FamilySpec<Id, Own>,
): Family<Id> {
  const {
    id,
    skill,
    purposes,
    headline,
    gate = GATE_OF_SKILL[skill] ?? null,
    home = 'shelf',
    table = null,
    isSingle = false,
    options,
    write,
  } = spec;
  return {
    id,
    skill,
    purposes,
    gate,
    headline,
    home,
    table,
    isSingle,
    options,
    build(horn, choices = {}, draw = 1) {
      const own = options(horn);
      if (!own) throw new CoreError('family-no-room', `${id}: the range of the horn is too small for it.`);
      const chosen = completeChoices(own, choices);
      const { tempoBpm, start } = chosen as { tempoBpm: number; start?: Pace };
      const draft = write(chosen as Chosen<Own>, horn, createRandom(draw));
      return {
        version: 3,
        family: id,
        tempoBpm,
        beatsPerBar: 4,
        start: start ?? 'countIn',
        ...USUAL_EXERCISE,
        ...draft,
        phrases: draft.phrases.map((phrase) => ({ ...USUAL_PHRASE, ...phrase })),
      };
    },
  };
}

/** Every option with its value: what was chosen where that is possible, else what is usual. */
export function completeChoices(options: Options, choices: Choices): Choices {
  return Object.fromEntries(
    Object.entries(options).map(([name, option]) => [name, chosenOf(option, choices[name as keyof Choices])]),
  );
}

/** A note at one level, or a hairpin from one mark to another. */
export function note(
  midi: number,
  lengthBeats: number,
  from: DynamicMark,
  to: DynamicMark = from,
  attack: Attack = 'any',
): NoteItem {
  return {
    kind: 'note',
    writtenMidi: writtenMidi(midi),
    fingered: null,
    lengthBeats,
    open: false,
    dynamics: [
      { beat: 0, mark: from },
      { beat: lengthBeats, mark: to },
    ],
    attack,
    judged: null,
  };
}

/** Held for a quarter, bent down by so many half steps and back, held for the last quarter. */
export const downAndBack = (beats: number, halfSteps: number): BendPoint[] => [
  { beat: 0, cents: 0 },
  { beat: beats / 4, cents: 0 },
  { beat: beats / 2, cents: -100 * halfSteps },
  { beat: (3 * beats) / 4, cents: 0 },
  { beat: beats, cents: 0 },
];

/** Held for a quarter, raised by so many cents, held there for a quarter, and back. */
export const upAndBack = (beats: number, cents: number): BendPoint[] => [
  { beat: 0, cents: 0 },
  { beat: beats / 4, cents: 0 },
  { beat: (3 * beats) / 8, cents },
  { beat: (5 * beats) / 8, cents },
  { beat: (3 * beats) / 4, cents: 0 },
  { beat: beats, cents: 0 },
];

/** A note slurred to at one level. */
export const slurred = (midi: number, lengthBeats: number, mark: DynamicMark) =>
  note(midi, lengthBeats, mark, mark, 'slurred');

/** Silence of so many beats, in which one may breathe. */
export const rest = (lengthBeats: number): ExerciseItem => ({ kind: 'rest', lengthBeats, breath: 'free' });

/** The rest after a phrase: so many beats. */
export const restOf = (beats: number) => ({ kind: 'beats', beats }) as const;

/** A way and the same way back, its end once. */
export const thereAndBack = <Step>(there: readonly Step[]): Step[] => [
  ...there,
  ...there.toReversed().slice(1),
];

/** Chromatic notes from one to the other, both included, up or down. */
export function chromatic(from: number, to: number): WrittenMidi[] {
  const step = Math.sign(to - from);
  return Array.from({ length: Math.abs(to - from) + 1 }, (_, i) => writtenMidi(from + i * step));
}
