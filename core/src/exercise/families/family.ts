import { hornById, writtenMidi, type Horn, type HornId, type WrittenMidi } from '../../horn/index.ts';
import type { DynamicMark } from '../dynamics.ts';
import type { Attack, Exercise, ExerciseItem, NoteItem, StartMode } from '../exercise.ts';
import { parseExercise } from '../validate.ts';

/** What one may choose of a family. */
export interface FamilyRequest {
  hornId: HornId;
  /** First base note. */
  note: WrittenMidi;
  /** Last base note of a round; families of one place leave it. */
  to: WrittenMidi;
  tempoBpm: number;
  start: StartMode;
}

/** Names of the built-in families; they stand in files and addresses. */
export type FamilyId =
  | 'airThenNote'
  | 'hearHumPlay'
  | 'longHold'
  | 'pairedSwells'
  | 'alternatingSwells'
  | 'quietDescent'
  | 'octaveRestart'
  | 'breakDrill';

/** A family of drills: one idea of the craft, ready for any horn. */
export interface Family {
  readonly id: FamilyId;
  /** What can be moved: a range of base notes, one base note, or nothing. */
  moves: 'range' | 'note' | 'nothing';
  /** Lowest and highest base note on a horn. */
  bases(horn: Horn): [WrittenMidi, WrittenMidi];
  usual(horn: Horn): Omit<FamilyRequest, 'hornId'>;
  /** Throws nothing: base notes outside the horn are brought inside. */
  build(request: FamilyRequest): Exercise;
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

export const rest = (lengthBeats: number): ExerciseItem => ({ kind: 'rest', lengthBeats, breath: 'free' });

/** What a builder writes; the rest is as the language has it. */
export type Draft = Omit<Partial<Exercise>, 'phrases'> & {
  phrases: { items: ExerciseItem[]; breath?: 'one' | 'free'; repeats?: number }[];
};

/** Completes and checks what a builder wrote. */
export function write(id: FamilyId, { tempoBpm, start }: FamilyRequest, draft: Draft): Exercise {
  return parseExercise({ version: 2, family: id, tempoBpm, start, beatsPerBar: 4, ...draft });
}

/** A request brought inside what the family can do on the horn, lower base first where `down` is false. */
export function within({ bases }: Pick<Family, 'bases'>, request: FamilyRequest): FamilyRequest {
  const [lowest, highest] = bases(hornById(request.hornId));
  const inside = (midi: WrittenMidi) => writtenMidi(Math.max(lowest, Math.min(highest, midi)));
  return { ...request, note: inside(request.note), to: inside(request.to) };
}

/** Chromatic base notes from one to the other, both included, up or down. */
export function chromatic(from: WrittenMidi, to: WrittenMidi): WrittenMidi[] {
  const step = Math.sign(to - from);
  return Array.from({ length: Math.abs(to - from) + 1 }, (_, i) => writtenMidi(from + i * step));
}
