import type { TakeAnalysis } from '@inner-hum/core/judge';
import { playAndJudge, writtenOf } from '@inner-hum/core/verdicts';
import { expect, it } from 'vitest';
import { faultOfRow } from './rowChecks.ts';
import { TEST_TAKE, testContext } from './testTake.ts';

// A take as the judge left it, and what an archive may have made of it.

const written = writtenOf({ family: 'airThenNote', hornId: 'alto' });
const analysis = playAndJudge(written, { hornId: 'alto' }, 'truth');
if (!analysis) throw new Error('The drill was not heard.');
const judged = analysis;
const take = {
  ...TEST_TAKE,
  state: 'kept',
  lengthSeconds: 12,
  context: testContext(written),
  analysis: judged as unknown,
};
const items = judged.items.length;
const withItem = (index: number, change: object): Partial<TakeAnalysis> => ({
  items: judged.items.map((item, i) =>
    i === index ? { ...item, ...change } : item,
  ) as TakeAnalysis['items'],
});
const withOf = (...of: number[]): Partial<TakeAnalysis> => ({ verdict: { ...judged.verdict, of } });

it('takes a take as it was judged, one that was not, and one of no exercise', () => {
  expect(items).toBeGreaterThan(2);
  expect(faultOfRow('takes', take)).toBeNull();
  expect(faultOfRow('takes', { ...take, analysis: null })).toBeNull();
  expect(faultOfRow('takes', { ...take, context: null })).toBeNull();
  for (const of of [[], [0], [items - 1]])
    expect(faultOfRow('takes', { ...take, analysis: { ...judged, ...withOf(...of) } }), `${of}`).toBeNull();
});

it.each<[string, Partial<TakeAnalysis>]>([
  ['an item before the first', withItem(0, { item: -1 })],
  ['an item after the last', withItem(0, { item: items })],
  ['an item of another kind', withItem(0, { item: 1 })],
  ['a verdict of an item before the first', withOf(-1)],
  ['a verdict of an item after the last', withOf(0, items)],
])('refuses what was judged of another exercise: %s', (_, change) => {
  expect(faultOfRow('takes', { ...take, analysis: { ...judged, ...change } })).toMatch(
    /analysis must be of its exercise|cannot be read/,
  );
});

it('refuses an analysis that says of its sound what nobody can tell', () => {
  const faultWith = (change: object) =>
    faultOfRow('takes', { ...take, analysis: { ...judged, ...change } as unknown });
  expect(faultWith({ processing: 'gate', notJudged: ['dynamics'] })).toBeNull();
  expect(faultWith({ processing: 'echo' })).toContain('analysis.processing');
  expect(faultWith({ notJudged: ['colour'] })).toContain('analysis.notJudged');
  expect(faultWith({ notJudged: ['pitch', 'onset', 'dynamics', 'pitch'] })).toContain('analysis.notJudged');
});

it('refuses what was judged of an exercise that nobody can read', () => {
  const context = { ...take.context, exercise: { ...written, phrases: null } };
  expect(faultOfRow('takes', { ...take, context })).not.toBeNull();
});

it.each<[string, object]>([
  ['state', { state: 'gone' }],
  ['kind', { kind: 'song' }],
  ['phrase', { phrase: -1 }],
  ['phrase', { phrase: 0.5 }],
  ['day', { day: '2026-02-30' }],
  ['clock', { clock: '7:05' }],
  ['hornId', { hornId: 'clarinet' }],
  ['source', { source: 'radio' }],
  ['eyes', { eyes: 'shut' }],
  ['sampleRateHz', { sampleRateHz: 100 }],
  ['sampleRateHz', { sampleRateHz: 1e9 }],
  ['lengthSeconds', { lengthSeconds: -1 }],
  ['lengthSeconds', { lengthSeconds: 7201 }],
  ['loudness', { loudness: { softDb: NaN, loudDb: -20 } }],
  ['playingLoad', { playingLoad: { playedSeconds: 1, highSeconds: Infinity, loudSeconds: 0 } }],
  ['reedId', { reedId: 'x'.repeat(81) }],
  ['roundId', { roundId: 'x'.repeat(81) }],
  ['playerNote', { playerNote: 'x'.repeat(20_001) }],
  ['recovered', { recovered: null }],
  ['deletedAt', { deletedAt: -1 }],
])('names the field that is wrong: %s in %j', (field, change) => {
  expect(faultOfRow('takes', { ...take, ...change })).toContain(field);
});
