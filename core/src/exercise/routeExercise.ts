import { bestLine, type Horn, type Route, type RouteMode, type WrittenMidi } from '../horn/index.ts';
import type { Exercise, ExerciseItem, NoteItem, Phrase } from './exercise.ts';

interface RouteRequest {
  horn: Pick<Horn, 'lowest' | 'highest'>;
  mode: RouteMode;
  /** Chance that a route speaks, 0-1. */
  chanceOf(route: Route): number;
  /** Notes that are to be fingered as this one; absent: none. */
  pinned?: ReadonlyMap<WrittenMidi, WrittenMidi>;
}

/**
 * An exercise taken through routes: rhythm, dynamics and pitches stay, each note gets the fingering of its route, phrase by
 * phrase the likeliest to speak together. With `alternate` every note comes twice, its length parted. Null where a note has no
 * route in this mode, or nothing is a note.
 */
export function routeExercise(exercise: Exercise, request: RouteRequest): Exercise | null {
  const phrases: Phrase[] = [];
  for (const phrase of exercise.phrases) {
    const routed = routePhrase(phrase, request);
    if (!routed) return null;
    phrases.push(routed);
  }
  return { ...exercise, phrases };
}

function routePhrase(phrase: Phrase, request: RouteRequest): Phrase | null {
  const { mode } = request;
  const notes = phrase.items.filter((item): item is NoteItem => item.kind === 'note');
  if (notes.length === 0) return null;
  const line = bestLine({ ...request, notes: notes.map(({ writtenMidi }) => writtenMidi) });
  if (!line) return null;
  const steps = [...line.notes];
  const next = (note: NoteItem, attack = note.attack, from = 0, to = note.lengthBeats): NoteItem => {
    const { kind, fingered } = steps[0].route;
    steps.shift();
    return {
      ...note,
      attack,
      fingered: kind === 'regular' ? null : fingered,
      ...(to - from < note.lengthBeats && {
        lengthBeats: to - from,
        // A half has the level with which it begins; hairpins are not parted.
        dynamics: [0, to - from].map((beat) => ({ beat, mark: note.dynamics[0].mark })),
      }),
    };
  };
  const items = phrase.items.flatMap((item): ExerciseItem[] => {
    if (item.kind !== 'note') return [item];
    const isTwice =
      mode === 'alternate' && steps.at(1)?.note === item.writtenMidi && steps[1].route.kind !== 'regular';
    if (!isTwice) return [next(item)];
    const half = item.lengthBeats / 2;
    return [next(item, item.attack, 0, half), next(item, 'slurred', half)];
  });
  return { ...phrase, items };
}
