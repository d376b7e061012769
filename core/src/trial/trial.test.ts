import { expect, it } from 'vitest';
import { phraseExercise } from '../exercise/index.ts';
import { writtenMidi } from '../horn/index.ts';
import { createRandom } from '../signal/index.ts';
import type { ItemFault } from '../simulated/index.ts';
import { playAndJudge } from '../verdicts/index.ts';
import {
  beforeAfter,
  cueOrder,
  trialExercise,
  trialOrder,
  trialResult,
  trialValue,
  usualAttacks,
  type CueTrial,
  type Sitting,
} from './index.ts';

const TRIAL: CueTrial = {
  tone: 'softStart',
  writtenMidi: writtenMidi(58),
  cues: { a: 'tongue high', b: 'tongue low' },
  attacks: usualAttacks('softStart'),
  pairs: 6,
};

it('plays both cues in every pair, which of them first by chance, and knows them again', () => {
  let firstA = 0;
  for (let seed = 0; seed < 400; seed++) {
    const order = trialOrder(8, seed);
    expect(order).toHaveLength(16);
    for (let i = 0; i < 16; i += 2) expect(new Set(order.slice(i, i + 2)).size).toBe(2);
    firstA += order.filter((side, i) => i % 2 === 0 && side === 'a').length / 8;
  }
  expect(firstA / 400).toBeGreaterThan(0.46);
  expect(firstA / 400).toBeLessThan(0.54);
  const order = trialOrder(6, 3);
  const exercise = trialExercise(TRIAL, order, 'Tongue high or low');
  expect(cueOrder(exercise, TRIAL.cues)).toEqual(order);
  expect(exercise.phrases).toHaveLength(12);
});

it('begins the note of either side as that side asks', () => {
  const order = trialOrder(6, 3);
  const attacks = { a: 'tongued', b: 'breath' } as const;
  const exercise = trialExercise({ ...TRIAL, attacks }, order, 'Tongue or breath');
  const played = exercise.phrases.map(({ items: [item] }) => item.kind === 'note' && item.attack);
  expect(played).toEqual(order.map((side) => attacks[side]));
  expect(usualAttacks('longTone')).toEqual({ a: 'any', b: 'any' });
});

it.each<[string, ItemFault[], 0 | 1]>([
  ['at once', [], 1],
  ['the octave first', [{ item: 0, kind: 'slip', atSeconds: 0, lengthSeconds: 0.2, toPartial: 2 }], 0],
  ['after 500 ms of air', [{ item: 0, kind: 'slowAnswer', responseMs: 500 }], 0],
  ['the octave all through', [{ item: 0, kind: 'wrongPartial', partial: 2 }], 0],
])('counts whether a note spoke at once: %s', (_, faults, spoke) => {
  const exercise = phraseExercise(trialExercise(TRIAL, trialOrder(6, 3), 'Tongue'), 0);
  const analysis = playAndJudge(exercise, { hornId: 'alto', faults }, 'simulated');
  expect(analysis && trialValue({ exercise }, analysis, 'spokeAtOnce')).toBe(spoke);
  expect(analysis && trialValue({ exercise }, analysis, 'responseMs')).toSatisfy(
    (ms: number | null) => spoke === 0 || (ms !== null && Math.abs(ms - 100) < 40),
  );
});

it('says nothing before all pairs are played, and leaves out what was not measured', () => {
  const order = trialOrder(6, 1);
  const values = order.map((side, i) => (side === 'a' ? 100 : 140) + i);
  const early = trialResult([{ order, values: values.slice(0, 10) }], 6);
  expect(early).toMatchObject({ less: 'open', difference: null });
  const all = trialResult([{ order, values }], 6);
  expect(all.less).toBe('a');
  expect(all.difference?.mean).toBeCloseTo(40, -0.5);
  const holes = values.map((value, i) => (i === 3 ? null : value));
  expect(trialResult([{ order, values: holes }], 6)).toMatchObject({ unmeasured: 1 });
  expect(trialResult([{ order, values: holes }], 6).pairs).toHaveLength(5);
});

/** Noise of playing: now and then far off (t with three degrees of freedom), and tired toward the end. */
function sitting(pairs: number, effect: number, seed: number): Sitting {
  const random = createRandom(seed);
  const order = trialOrder(pairs, seed + 1_000_000);
  const heavy = () => {
    const chi = Math.hypot(random.normal(), random.normal(), random.normal()) / Math.sqrt(3);
    return random.normal() / chi;
  };
  const values = order.map((side, i) => 200 + 2 * i + 25 * heavy() + (side === 'b' ? effect : 0));
  return { order, values };
}

it('holds its interval over simulated trials, and seldom says that a cue helped that did nothing', () => {
  const trials = 2000;
  const told: string[] = [];
  for (const pairs of [6, 10, 15]) {
    let [covered, said, found] = [0, 0, 0];
    for (let seed = 0; seed < trials; seed++) {
      const nothing = trialResult([sitting(pairs, 0, 7 * seed)], pairs);
      if (nothing.less === 'a' || nothing.less === 'b') said++;
      const something = trialResult([sitting(pairs, 60, 7 * seed + 3)], pairs);
      const { difference } = something;
      if (difference && difference.low <= 60 && difference.high >= 60) covered++;
      if (something.less === 'a') found++;
    }
    const percent = (count: number) => ((100 * count) / trials).toFixed(1);
    told.push(
      `${pairs} pairs: interval holds ${percent(covered)} %, false "it helped" ${percent(said)} %, found ${percent(found)} %`,
    );
    // 90 % is wanted; heavy tails make Student's interval a little too wide, never too narrow. Three standard errors are 2 %.
    expect(covered / trials).toBeGreaterThan(0.88);
    expect(said / trials).toBeLessThan(0.12);
  }
  console.info(
    `simulated trials (an effect of 60 beside noise of 25, heavy tails, tiring): ${told.join('; ')}`,
  );
});

it('tells a change from what equal takes differ by', () => {
  expect(beforeAfter([10], [20, 21])).toBeNull();
  const plain = beforeAfter([10, 12, 11], [20, 21, 22]);
  // Welch's textbook case with equal variances: mean difference 10, pooled SD 1, t(4; 0.95) = 2.132.
  expect(plain?.change).toMatchObject({ mean: 10, scatter: 1 });
  expect(plain?.change.high).toBeCloseTo(10 + 2.132 * Math.sqrt(2 / 3), 2);
  expect(plain?.isMore).toBe(true);
  let more = 0;
  const random = createRandom(5);
  const side = () => Array.from({ length: 3 }, () => random.normal());
  for (let i = 0; i < 2000; i++) if (beforeAfter(side(), side())?.isMore) more++;
  console.info(`before and after without a change: said to be more ${((100 * more) / 2000).toFixed(1)} %`);
  expect(more / 2000).toBeLessThan(0.125);
});
