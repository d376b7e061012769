import { expect, it } from 'vitest';
import { hornById, hornWithin, hornWithTop, routeChance, writtenMidi } from '../horn/index.ts';
import {
  familyById,
  newExercise,
  noteTarget,
  parseExercise,
  phraseBeats,
  problemsOf,
  routeExercise,
  waitsBefore,
  writtenMarks,
  type Exercise,
} from './index.ts';

const alto = hornById('alto');
const own = (items: object[], more: object = {}): Exercise =>
  parseExercise({
    version: 3,
    tempoBpm: 60,
    beatsPerBar: 4,
    start: 'countIn',
    phrases: [{ items, ...more }],
  });
const note = (midi: number, lengthBeats: number, more: object = {}) => ({
  kind: 'note',
  writtenMidi: midi,
  lengthBeats,
  ...more,
});

it('names what stands in the way of an exercise, and where', () => {
  const kinds = (exercise: Exercise, horn = alto) =>
    problemsOf(exercise, horn).map(({ kind, phrase, item, isFatal }) => [kind, phrase, item, isFatal]);
  expect(kinds(newExercise(alto))).toEqual([]);
  expect(kinds(own([note(57, 4), note(91, 4)]))).toEqual([
    ['belowRange', 0, 0, false],
    ['aboveRange', 0, 1, false],
  ]);
  // On its own range the same notes may be right, or others wrong.
  expect(kinds(own([note(91, 4)]), hornWithTop(alto, 'G'))).toEqual([]);
  expect(kinds(own([note(90, 4)]), hornWithTop(alto, 'F'))).toEqual([['aboveRange', 0, 0, false]]);
  const narrow = hornWithin(alto, { lowest: writtenMidi(62), highest: writtenMidi(80) });
  expect(kinds(own([note(60, 4)]), narrow)).toEqual([['belowRange', 0, 0, false]]);
  // A slur needs a note to come from: not the one at the end of the phrase.
  const slurred = note(67, 4, { attack: 'slurred' });
  expect(kinds(own([slurred, note(69, 4)]))).toEqual([['slurFromNothing', 0, 0, false]]);
  expect(kinds(own([note(69, 4), { kind: 'rest', lengthBeats: 1 }, slurred]))).toEqual([
    ['slurFromNothing', 0, 2, false],
  ]);
  expect(kinds(own([note(67, 46)], { breath: 'one' }))).toEqual([['longBreath', 0, null, false]]);
  const long = Array.from({ length: 5 }, () => note(67, 60));
  expect(kinds(own(long))).toEqual([['longPhrase', 0, null, false]]);
  // As it is being written it may not be playable at all.
  const empty = {
    ...newExercise(alto),
    phrases: own([note(67, 4)]).phrases.map((phrase) => ({ ...phrase })),
  };
  empty.phrases[0].items = [{ kind: 'rest', lengthBeats: 4, breath: 'free' }];
  expect(kinds(empty)).toEqual([['nothingToPlay', 0, null, true]]);
  // Mouthpiece and neck have no range of the horn's.
  expect(kinds({ ...own([note(100, 4)]), body: 'mouthpiece' })).toEqual([]);
});

it('takes an exercise through routes: rhythm, pitch and dynamics stay, the fingers change', () => {
  const request = (mode: 'overtones' | 'fifth' | 'alternate') => ({
    horn: alto,
    mode,
    chanceOf: (route: Parameters<typeof routeChance>[0]) => routeChance(route, null),
  });
  const line = own([
    note(81, 2, {
      dynamics: [
        { beat: 0, mark: 'p' },
        { beat: 2, mark: 'f' },
      ],
    }),
    { kind: 'rest', lengthBeats: 1 },
    note(83, 3),
  ]);
  const routed = routeExercise(line, request('fifth'));
  const [phrase] = routed?.phrases ?? [];
  expect(phrase.items).toMatchObject([
    { writtenMidi: 81, fingered: 74, lengthBeats: 2, dynamics: [{ mark: 'p' }, { mark: 'f' }] },
    { kind: 'rest' },
    { writtenMidi: 83, fingered: 76, lengthBeats: 3 },
  ]);
  // What is fingered really gives what is written: its third partial.
  const [first] = phrase.items;
  if (first.kind !== 'note') throw new Error('no note');
  expect(noteTarget(line, first, 'alto', 440).partial).toBe(3);
  const twice = routeExercise(line, request('alternate'))?.phrases[0];
  expect(twice?.items).toHaveLength(5);
  expect(phraseBeats(twice ?? phrase)).toBe(6);
  expect(twice?.items.map((item) => item.kind === 'note' && item.fingered !== null)).toEqual([
    false,
    true,
    false,
    false,
    true,
  ]);
  expect(twice?.items[1]).toMatchObject({ attack: 'slurred', lengthBeats: 1 });
  expect(parseExercise(JSON.parse(JSON.stringify(routeExercise(line, request('alternate')))))).toBeTruthy();
  // Below A5 nothing overblows a fifth, and a rest alone is no line.
  expect(routeExercise(own([note(67, 4)]), request('fifth'))).toBe(null);
  expect(routeExercise(own([{ kind: 'free', lengthBeats: 4 }]), request('overtones'))).toBe(null);
});

it('refuses keys that no horn has, and keeps those it has', () => {
  expect(() => own([note(67, 4, { keys: ['L1', 'L9'] })])).toThrowError(/phrases\[0\]\.items\[0\]\.keys/);
  expect(own([note(67, 4, { keys: ['L1', 'oct'] })]).phrases[0].items[0]).toMatchObject({
    keys: ['L1', 'oct'],
  });
});

it('marks a level that goes on at its ends only, and every turn', () => {
  const marks = (exercise: Exercise) =>
    writtenMarks(exercise).map(({ seconds, mark }) => `${seconds} ${mark}`);
  expect(marks(own([note(67, 4), note(69, 4), note(71, 4)]))).toEqual(['0 mf', '12 mf']);
  const swell = note(67, 4, {
    dynamics: [
      { beat: 0, mark: 'p' },
      { beat: 2, mark: 'f' },
      { beat: 4, mark: 'p' },
    ],
  });
  expect(marks(own([swell, note(69, 4)]))).toEqual(['0 p', '2 f', '4 p', '4 mf', '8 mf']);
});

it('waits before the second half of a comparison, and nowhere else', () => {
  const built = familyById('beforeAfter')?.build(alto, { tries: 2 });
  if (!built) throw new Error('no family');
  expect([0, 1, 2, 3].map((index) => waitsBefore(built, index))).toEqual([false, false, true, false]);
});
