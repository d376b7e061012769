import { expect, it } from 'vitest';
import { DEFAULT_SCALE, familyById, phraseExercise } from '../exercise/index.ts';
import { listenTo } from '../hearing/index.ts';
import { hornById, routesTo, writtenMidi } from '../horn/index.ts';
import { analyseTake, type TakeContext } from '../judge/index.ts';
import { playExercise, PROFILES, type ItemFault } from '../simulated/index.ts';
import { clearByDay, fifthRungs, ladder, nextRung, rungTries, type RungTry } from './index.ts';

const RATE = 24000;
const ALTO = hornById('alto');

function play(family: string, choices: object, faults: ItemFault[]): RungTry[] {
  const built = familyById(family)?.build(ALTO, choices);
  if (!built) throw new Error(family);
  const exercise = phraseExercise(built, 0);
  const context: TakeContext = {
    exercise,
    hornId: 'alto',
    a4Hz: 440,
    scale: DEFAULT_SCALE,
    toleranceId: 'usual',
    roomFloorDb: null,
    beatZeroSeconds: null,
  };
  const { samples, beatZeroSeconds } = playExercise({
    exercise,
    hornId: 'alto',
    a4Hz: 440,
    scale: DEFAULT_SCALE,
    profile: { ...PROFILES.steady, responseMs: 80 },
    faults,
    sampleRateHz: RATE,
    seed: 4,
    leadSeconds: 0.8,
    tailSeconds: 1,
  });
  const counted = exercise.start === 'countIn' ? { ...context, beatZeroSeconds } : context;
  const analysis = analyseTake(listenTo(samples, RATE), counted, []);
  if (!analysis) throw new Error('nothing heard');
  return rungTries(counted, analysis, 0);
}

it('reads tries at rungs from what was played: spoken, on the wrong partial, 20 cents low', () => {
  // Partial 3 of B3 four times: right, fundamental, partial 4, right and 20 cents low.
  const tries = play('overtoneHits', { note: 59, partial: 3, tries: 4, tempoBpm: 90, attack: 'tongued' }, [
    { item: 2, kind: 'wrongPartial', partial: 1 },
    { item: 4, kind: 'wrongPartial', partial: 4 },
    { item: 6, kind: 'off', cents: -20, levelDb: 0 },
  ]);
  expect(tries.map(({ fingered, partial }) => [fingered, partial])).toEqual(Array(4).fill([59, 3]));
  expect(tries.map(({ spoke, heardPartial }) => [spoke, heardPartial])).toEqual([
    [true, null],
    [false, 1],
    [false, 4],
    [true, null],
  ]);
  expect(tries[0].cents).toBeCloseTo(0, 0);
  expect(Math.abs((tries[3].cents ?? 0) + 20)).toBeLessThan(3);
  // Pure: the third partial is meant 2 cents over the piano's note, the fifth 14 under it.
  const [pure] = play(
    'overtoneHits',
    { note: 59, partial: 5, tries: 1, overtones: 'pure', tempoBpm: 90 },
    [],
  );
  expect(Math.abs((pure.cents ?? 0) + 13.7)).toBeLessThan(3);
  const rungs = ladder(ALTO, tries);
  const [, column] = rungs;
  expect(column[2]).toMatchObject({ spoke: 2, tries: 4, state: 'shaky', rate: 0.5, sounding: 78 });
  expect(column[2].slipsTo === 1 || column[2].slipsTo === 4).toBe(true);
});

const tried = (fingered: number, partial: number, spoke: number, tries: number): RungTry[] =>
  Array.from({ length: tries }, (_, i) => ({
    fingered: writtenMidi(fingered),
    partial,
    spoke: i < spoke,
    heardPartial: i < spoke ? null : partial - 1,
    cents: 0,
    holdSeconds: 4,
    clearSeconds: null,
    at: i,
  }));

it('tells how soon a rung stood clear, by the median of each day', () => {
  const at = (day: number, clearSeconds: number | null, partial = 3): RungTry => ({
    ...tried(58, partial, 1, 1)[0],
    clearSeconds,
    at: day * 86_400_000 + 1000 * (clearSeconds ?? 0),
  });
  const tries = [at(2, 0.6), at(1, 2), at(1, 1), at(1, 4), at(2, null), at(2, 0.2), at(3, null), at(1, 9, 2)];
  const days = clearByDay({ fingered: writtenMidi(58), partial: 3 }, tries, (when) =>
    String(Math.floor(when / 86_400_000)),
  );
  expect(days.map(({ day, seconds }) => [day, seconds])).toEqual([
    ['1', 2],
    ['2', 0.4],
  ]);
  expect(ladder(ALTO, tries)[0][2].clearSeconds).toBe(1);
  expect(ladder(ALTO, [at(1, null)])[0][2].clearSeconds).toBeNull();
  // Straight from the playing: the simulated player stands clear at once.
  const [clear] = play('overtoneHits', { note: 59, partial: 3, tries: 1, tempoBpm: 60 }, []);
  expect(clear.clearSeconds).toBeLessThan(0.3);
});

it('proposes the rung where practice tells most, never one that is reached or a step too far', () => {
  const fresh = nextRung(ladder(ALTO, []));
  expect(fresh?.partial).toBe(2);
  const many = [
    ...[58, 59, 60, 61, 62, 63, 64, 65].flatMap((note) => tried(note, 2, 12, 12)),
    ...tried(58, 3, 11, 12),
    ...tried(60, 3, 6, 12),
    ...tried(62, 3, 0, 12),
  ];
  const rungs = ladder(ALTO, many);
  expect(rungs[0][1].state).toBe('reached');
  // Three out of three is not enough to say so.
  expect(ladder(ALTO, tried(58, 2, 2, 2))[0][1].state).toBe('shaky');
  expect(nextRung(rungs)).toMatchObject({ fingered: 60, partial: 3, slipsTo: 2 });
  const all = rungs.flat().flatMap(({ fingered, partial }) => tried(fingered, partial, 12, 12));
  expect(nextRung(ladder(ALTO, all))).toBe(null);
  expect(ladder(hornById('baritone'), [])).toHaveLength(9);
});

it('has the overblown fifths as a block of its own, each counted by its own fingers', () => {
  const tries = play('fifths', { note: 74, to: 74, start: 'playToStart' }, []);
  expect(tries).toMatchObject([{ fingered: 74, partial: 3, spoke: true, heardPartial: null }]);
  expect(Math.abs(tries[0].cents ?? 99)).toBeLessThan(3);
  const fifths = fifthRungs(ALTO, tries);
  expect(fifths.map(([{ fingered, sounding }]) => [fingered, sounding])).toEqual(
    Array.from({ length: 10 }, (_, i) => [74 + i, 81 + i]),
  );
  expect(fifths[0][0]).toMatchObject({ spoke: 1, tries: 1, state: 'shaky' });
  // Of a player who goes no higher than G5 there are six.
  expect(fifthRungs({ highest: writtenMidi(79) }, [])).toHaveLength(6);
  expect(fifthRungs({ highest: writtenMidi(73) }, [])).toEqual([]);
});

it('says of every route that tube and partial make its note', () => {
  for (let midi = 58; midi <= 101; midi++)
    for (const { kind, tube, partial, fingered, octaveKey } of routesTo(writtenMidi(midi), ALTO)) {
      const exact = tube + 12 * Math.log2(partial);
      expect(Math.abs(exact - midi), `${midi} by ${fingered}`).toBeLessThan(0.4);
      expect(octaveKey).toBe(kind === 'shortTube' || (kind === 'regular' && partial === 2));
      if (kind !== 'regular') expect(fingered - tube).toBe(kind === 'shortTube' ? 12 : 0);
    }
});

it('proposes a fifth as it proposes any other rung', () => {
  const easy = Array.from({ length: 12 }, (_, at) => at);
  const spoken = (fingered: number, partial: number): RungTry[] =>
    easy.map((at) => ({
      fingered: writtenMidi(fingered),
      partial,
      spoke: true,
      heardPartial: null,
      cents: 0,
      holdSeconds: 3,
      clearSeconds: 0.1,
      at,
    }));
  const long = Array.from({ length: 8 }, (_, i) => 58 + i).flatMap((tube) =>
    [1, 2, 3, 4, 5, 6, 7, 8].flatMap((partial) => spoken(tube, partial)),
  );
  const proposed = nextRung(ladder(ALTO, long), fifthRungs(ALTO, long));
  expect(proposed).toMatchObject({ partial: 3, state: 'notYet' });
  expect(proposed?.fingered).toBeGreaterThanOrEqual(74);
  const all = [...long, ...Array.from({ length: 10 }, (_, i) => spoken(74 + i, 3)).flat()];
  expect(nextRung(ladder(ALTO, all), fifthRungs(ALTO, all))).toBeNull();
});
