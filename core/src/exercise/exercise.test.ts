import fc from 'fast-check';
import { expect, it } from 'vitest';
import { HIGHEST_NOTE, hornById, hornWithin, HORN_IDS, writtenMidi } from '../horn/index.ts';
import {
  barsOf,
  buildSwell,
  cautionsOf,
  completeChoices,
  DEFAULT_SCALE,
  FAMILIES,
  familyById,
  fractionAtLevel,
  lengthBeats,
  levelAtFraction,
  MAJOR_KEYS,
  nearestMark,
  notesOf,
  parseExercise,
  phraseBeats,
  phraseExercise,
  playedPhrases,
  restBeats,
  scaleEnds,
  scoreOf,
  spellNote,
  targetFraction,
  wantedAtBeat,
  writtenTurnBeat,
  type MajorKey,
} from './index.ts';

const swell = buildSwell({
  note: writtenMidi(67),
  shape: 'growFade',
  beats: 8,
  tempoBpm: 60,
  start: 'playToStart',
});

it('writes a hairpin as a straight line in dB, from pp to ff and back', () => {
  const score = scoreOf(swell);
  const [{ item: note }] = notesOf(score);
  // Seven even steps from ppp (0) to fff (1): pp = 1/7, ff = 6/7.
  const written = [1 / 7, 3.5 / 7, 6 / 7, 1 / 7];
  [0, 2, 4, 8].forEach((beat, i) => {
    expect(targetFraction(note, beat)).toBeCloseTo(written[i], 12);
    expect(wantedAtBeat(score, beat)).toBeCloseTo(written[i], 12);
  });
  expect(wantedAtBeat(score, 8.01)).toBeNull();
  expect(writtenTurnBeat(note)).toBe(4);
  expect(nearestMark(levelAtFraction(3 / 7, DEFAULT_SCALE), DEFAULT_SCALE)).toBe('mp');
  expect(fractionAtLevel(levelAtFraction(0.3, DEFAULT_SCALE), DEFAULT_SCALE)).toBeCloseTo(0.3, 12);
});

it('names the place of what is wrong in an exercise from outside', () => {
  const wrong = (change: (exercise: typeof swell) => unknown) => {
    const broken = structuredClone(swell);
    return () => parseExercise(change(broken) ?? broken);
  };
  const item = (exercise: typeof swell) => exercise.phrases[0].items[0] as unknown as Record<string, unknown>;
  expect(wrong((e) => void ((item(e).dynamics as { beat: number }[])[1].beat = 9))).toThrowError(
    /phrases\[0\]\.items\[0\]\.dynamics/,
  );
  expect(wrong((e) => void (item(e).kind = 'trill'))).toThrowError(/phrases\[0\]\.items\[0\]\.kind/);
  expect(wrong((e) => void (item(e).lenghtBeats = 3))).toThrowError(/phrases\[0\]\.items\[0\].*lenghtBeats/);
  expect(wrong((e) => ({ ...e, tempoBpm: 1000 }))).toThrowError(/tempoBpm/);
  expect(wrong((e) => ({ ...e, tempoRangeBpm: [70, 90] }))).toThrowError(/tempoRangeBpm/);
  expect(wrong((e) => ({ ...e, rest: { kind: 'beats' } }))).toThrowError(/rest\.beats/);
  expect(wrong((e) => void (item(e).writtenMidi = 'x'.repeat(70_000)))).toThrowError(/^[^]{10,250}$/);
  const often = Array.from({ length: 120 }, () => ({
    ...swell.phrases[0],
    repeats: 40,
    items: Array.from({ length: 5 }, () => swell.phrases[0].items[0]),
  }));
  expect(wrong((e) => ({ ...e, phrases: often }))).toThrowError(/at most 20000 items/);
  expect(() => parseExercise('swell')).toThrowError(expect.objectContaining({ code: 'exercise-invalid' }));
});

it('fills in what may be left out, and brings older versions up to date', () => {
  const short = parseExercise({
    version: 2,
    tempoBpm: 72,
    beatsPerBar: 3,
    start: 'countIn',
    phrases: [{ items: [{ kind: 'note', writtenMidi: 60, lengthBeats: 3 }] }],
  });
  expect(short.phrases[0]).toMatchObject({
    repeats: 1,
    breath: 'free',
    items: [
      { attack: 'any', open: false, judged: null, dynamics: [{ mark: 'mf' }, { beat: 3, mark: 'mf' }] },
    ],
  });
  expect(short).toMatchObject({ order: 'asWritten', onFault: 'finish', rest: { kind: 'asPlayed' } });
  const { dynamics } = notesOf(scoreOf(swell))[0].item;
  const old = {
    version: 1,
    tempoBpm: 60,
    beatsPerBar: 4,
    start: 'playToStart',
    items: [{ kind: 'note', writtenMidi: 67, lengthBeats: 8, dynamics }],
  };
  expect(parseExercise(old)).toEqual(swell);
  // What was always in time stays so; only version 3 knows the player's own time.
  expect(parseExercise({ ...swell, version: 2 })).toEqual(swell);
  expect(short).toMatchObject({ version: 3, start: 'countIn' });
  expect(parseExercise({ ...swell, start: 'ownTime' }).start).toBe('ownTime');
});

/** Any horn with any range of the player's own, and anything asked for in the address. */
const anyHorn = fc
  .record({
    hornId: fc.constantFrom(...HORN_IDS),
    lowest: fc.integer({ min: 50, max: 90 }).map(writtenMidi),
    span: fc.integer({ min: 0, max: 50 }),
    whole: fc.boolean(),
  })
  .map(({ hornId, lowest, span, whole }) =>
    hornWithin(hornById(hornId), whole ? null : { lowest, highest: writtenMidi(lowest + span) }),
  );
const anything = fc.oneof(
  fc.integer({ min: -5, max: 400 }),
  fc.constantFrom('ff', 'both', 'Bb', 'no such thing'),
);

it('builds every family on every horn inside any range, whatever is asked for; durations add up; JSON keeps it', () => {
  const built = new Map<string, number>();
  fc.assert(
    fc.property(
      fc.constantFrom(...FAMILIES),
      anyHorn,
      fc.array(anything, { minLength: 25, maxLength: 25 }),
      (family, horn, wanted) => {
        const options = family.options(horn);
        if (!options) {
          expect(() => family.build(horn)).toThrowError(expect.objectContaining({ code: 'family-no-room' }));
          return;
        }
        const choices = Object.fromEntries(Object.keys(options).map((name, i) => [name, wanted[i]]));
        const exercise = family.build(horn, choices);
        built.set(family.id, (built.get(family.id) ?? 0) + 1);
        const isAlone = exercise.body !== undefined;
        for (const { item } of scoreOf(exercise)) {
          if (!('writtenMidi' in item) || isAlone) continue;
          // An overtone may sound over the range, and be heard and hummed there; what is fingered lies in it.
          const isHigh = 'keys' in options || family.id.startsWith('high');
          const isOvertone =
            isHigh || (item.kind === 'note' ? item.fingered !== null : family.id === 'overtoneEar');
          const inHand = item.kind === 'note' && !isHigh ? (item.fingered ?? item.writtenMidi) : horn.lowest;
          expect(inHand).toBeGreaterThanOrEqual(horn.lowest);
          expect(inHand).toBeLessThanOrEqual(horn.highest);
          expect(item.writtenMidi).toBeGreaterThanOrEqual(horn.lowest);
          expect(item.writtenMidi).toBeLessThanOrEqual(isOvertone ? HIGHEST_NOTE : horn.highest);
        }
        const phrases = playedPhrases(exercise);
        const beats = phrases.map(
          (phrase, i) => phraseBeats(phrase) + (i + 1 < phrases.length ? restBeats(exercise, phrase) : 0),
        );
        expect(lengthBeats(exercise)).toBeCloseTo(
          beats.reduce((sum, each) => sum + each, 0),
          9,
        );
        phrases.forEach((phrase, i) =>
          expect(lengthBeats(phraseExercise(exercise, i))).toBeCloseTo(phraseBeats(phrase), 9),
        );
        for (const phrase of exercise.phrases) {
          const bars = barsOf(phrase, exercise.beatsPerBar);
          const written = bars.flat().reduce((sum, { value }) => sum + value, 0);
          expect(written).toBeCloseTo(phraseBeats(phrase), 9);
          for (const bar of bars) {
            const sum = bar.reduce((beats, { value }) => beats + value, 0);
            expect(sum).toBeLessThanOrEqual(exercise.beatsPerBar);
          }
        }
        // A family writes what the door for exercises from outside lets in, complete.
        expect(parseExercise(JSON.parse(JSON.stringify(exercise)))).toStrictEqual(exercise);
        // What was chosen is what is built: chosen again it changes nothing.
        expect(family.build(horn, completeChoices(options, choices))).toEqual(exercise);
      },
    ),
    { numRuns: 900 },
  );
  expect(FAMILIES.map(({ id }) => id).filter((id) => !built.has(id))).toEqual([]);
});

it('carries each scale to the ends of the horn, and finds the few ends there are', () => {
  const alto = hornById('alto');
  const notes = (key: string) =>
    familyById('fullScales')
      ?.build(alto, { key })
      .phrases[0].items.map((item) => ('writtenMidi' in item ? Number(item.writtenMidi) : 0)) ?? [];
  // D major: D4 to F#6, down to B3, back to D4. By hand.
  const d = notes('D');
  expect([d[0], Math.max(...d), Math.min(...d), d.at(-1)]).toEqual([62, 90, 59, 62]);
  expect(d.slice(0, 8)).toEqual([62, 64, 66, 67, 69, 71, 73, 74]);
  const ends = scaleEnds(alto);
  for (const end of ['top', 'bottom'])
    expect(
      ends
        .filter((each) => each.end === end)
        .flatMap(({ keys }) => keys)
        .toSorted(),
    ).toEqual([...MAJOR_KEYS].toSorted());
  // By hand: a major key's lowest four from Bb3 or B3 up.
  expect(ends.find(({ keys, end }) => end === 'bottom' && keys.includes('C'))).toMatchObject({
    notes: [64, 62, 60, 59],
    keys: ['C', 'G'],
  });
  expect(ends.length).toBeLessThan(20);
  console.info(`scale ends on the alto: ${ends.length} over ${2 * MAJOR_KEYS.length}`);
});

it('spells a note in its key, and elsewhere as a saxophone book does', () => {
  const spell = (midi: number, key: MajorKey | null) => {
    const { letter, alter, octave } = spellNote(midi, key);
    return `${letter}${alter > 0 ? '#' : alter < 0 ? 'b' : ''}${octave}`;
  };
  expect([58, 61, 66, 68].map((midi) => spell(midi, null))).toEqual(['Bb3', 'C#4', 'F#4', 'G#4']);
  expect([61, 63, 65, 66].map((midi) => spell(midi, 'Db'))).toEqual(['Db4', 'Eb4', 'F4', 'Gb4']);
  // The seventh of F# is E#, the fourth of Gb would be Cb: the octave is that of the letter.
  expect(spell(65, 'F#')).toBe('E#4');
  expect(spell(60, 'Db')).toBe('C4');
});

it('tells cautions from what is in an exercise', () => {
  const alto = hornById('alto');
  const of = (id: string, choices = {}) => cautionsOf(familyById(id)?.build(alto, choices) ?? swell);
  expect(of('pairedSwells')).toContain('hearing');
  expect(of('vowelSweep')).toContain('throat');
  expect(of('lipPositions')).toContain('dizziness');
  expect(of('mouthpieceAlone')).toEqual(expect.arrayContaining(['throat', 'embouchure']));
  expect(of('breakDrill')).toEqual([]);
  expect(of('wideningDown', { from: 'p', loud: 'mf' })).toContain('hearing');
  expect(of('wideningDown', { note: 74, widest: 4, from: 'p', loud: 'mf' })).not.toContain('hearing');
});

it('plays its phrases upward, downward or from the middle outward, each as often as written', () => {
  const low = [64, 60, 67, 62, 65];
  const play = (order: string) =>
    playedPhrases(
      parseExercise({
        version: 2,
        tempoBpm: 60,
        beatsPerBar: 4,
        start: 'countIn',
        order,
        phrases: low.map((midi, i) => ({
          repeats: i === 0 ? 2 : 1,
          items: [{ kind: 'note', writtenMidi: midi, lengthBeats: 4 }],
        })),
      }),
    ).map(({ items: [item] }) => ('writtenMidi' in item ? Number(item.writtenMidi) : 0));
  expect(play('asWritten')).toEqual([64, 64, 60, 67, 62, 65]);
  expect(play('upward')).toEqual([60, 62, 64, 64, 65, 67]);
  expect(play('downward')).toEqual([67, 65, 64, 64, 62, 60]);
  expect(play('middleOutward')).toEqual([64, 64, 62, 65, 60, 67]);
});
