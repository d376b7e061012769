import fc from 'fast-check';
import { expect, it } from 'vitest';
import { hornById, HORN_IDS, writtenMidi } from '../horn/index.ts';
import {
  buildSwell,
  DEFAULT_SCALE,
  FAMILIES,
  fractionAtLevel,
  lengthBeats,
  levelAtFraction,
  nearestMark,
  notesOf,
  parseExercise,
  phraseBeats,
  phraseExercise,
  playedPhrases,
  restBeats,
  scoreOf,
  targetFraction,
  wantedAtBeat,
  writtenTurnBeat,
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
  expect(() => parseExercise('swell')).toThrowError(expect.objectContaining({ code: 'exercise-invalid' }));
});

it('fills in what may be left out, and brings version 1 up to date', () => {
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
});

const anyRequest = fc.record({
  hornId: fc.constantFrom(...HORN_IDS),
  note: fc.integer({ min: 30, max: 120 }).map(writtenMidi),
  to: fc.integer({ min: 30, max: 120 }).map(writtenMidi),
  tempoBpm: fc.integer({ min: 30, max: 200 }),
  start: fc.constantFrom('playToStart' as const, 'countIn' as const),
});

it('builds every family on every horn inside its range, whatever is asked for; durations add up; JSON keeps it', () => {
  const seed = Number(process.env.SEED ?? Date.now() % 1e6);
  console.info(`exercise families: SEED=${seed}`);
  fc.assert(
    fc.property(fc.constantFrom(...FAMILIES), anyRequest, (family, request) => {
      const exercise = family.build(request);
      const { lowest, highest } = hornById(request.hornId);
      for (const { item } of scoreOf(exercise))
        if ('writtenMidi' in item) {
          expect(item.writtenMidi).toBeGreaterThanOrEqual(lowest);
          expect(item.writtenMidi).toBeLessThanOrEqual(highest);
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
      expect(parseExercise(JSON.parse(JSON.stringify(exercise)))).toEqual(exercise);
    }),
    { seed, numRuns: 150 },
  );
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
