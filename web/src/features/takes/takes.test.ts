import i18next from 'i18next';
import { expect, it } from 'vitest';
import { buildSwell, DEFAULT_SCALE, SWELL_SHAPES, type SwellShape } from '@inner-hum/core/exercise';
import { listenTo } from '@inner-hum/core/hearing';
import { FrameTrack } from '@inner-hum/core/hearing';
import { writtenMidi } from '@inner-hum/core/horn';
import { playExercise, WARM_UP } from '@inner-hum/core/simulated';
import type { TakeRecord } from '../../storage/index.ts';
import { judgeRecord, newTakeRecord } from '../../workers/takeRecords.ts';
import { takeDocument } from '../../workers/takeDocument.ts';
import { readSwell } from '../../addresses/index.ts';
import { swellAddress } from './swellAddress.ts';
import { takeFileName } from './takeFileName.ts';
import { scatterPoints } from './scatterPoints.ts';
import { filterSearch, readFilter } from './takeFilter.ts';
import { choiceOf } from './useFoundTakes.ts';
import { drawTake, describeTake } from '../../listing/index.ts';
import startup from '../../words/messages/en/startup.json';
import app from '../../words/messages/en/app.json';

/** A take as the app keeps it, from the simulated player's sound. */
function keptTake(shape: SwellShape): { take: TakeRecord; track: ReturnType<typeof listenTo> } {
  const exercise = buildSwell({
    note: writtenMidi(70),
    shape,
    beats: 4,
    tempoBpm: 100,
    start: 'playToStart',
  });
  const context = { exercise, hornId: 'tenor', a4Hz: 442, scale: DEFAULT_SCALE } as const;
  const { samples } = playExercise({
    ...context,
    profile: WARM_UP,
    sampleRateHz: 32000,
    seed: 6,
    leadSeconds: 0.5,
    tailSeconds: 0.5,
  });
  const track = listenTo(samples, 32000);
  const record = newTakeRecord({
    takeId: 'a',
    context: { ...context, toleranceId: 'usual', roomFloorDb: null, beatZeroSeconds: null },
    gear: { mouthpieceId: 'tenor.first', reedKind: '', reedId: '' },
    source: 'standIn',
    eyes: 'watch',
    sampleRateHz: 32000,
    startedAt: new Date(2026, 2, 14, 18, 42, 5).getTime(),
    playerNote: '',
    roundId: null,
    phrase: 0,
  });
  return { take: judgeRecord(record, samples, track), track };
}

it('leads back from a take to the exercise it was', () => {
  for (const shape of SWELL_SHAPES) {
    const { take } = keptTake(shape);
    const search = new URLSearchParams(swellAddress(take)?.split('?')[1]);
    expect(readSwell(search, 'tenor')).toEqual({
      note: 70,
      shape,
      beats: 4,
      tempoBpm: 100,
      start: 'playToStart',
    });
  }
});

it('draws a take from just before its tone to just after what was written', () => {
  const { take, track } = keptTake('growFade');
  const drawing = drawTake(take, track.slice(0));
  const onset = take.analysis?.beatZeroSeconds ?? 0;
  // 0.5 s of silence and 0.12 s of air come first; four beats at 100 last 2.4 s.
  expect(onset).toBeCloseTo(0.62, 1);
  expect(drawing.fromSeconds).toBeCloseTo(onset - 0.25, 2);
  expect(drawing.toSeconds).toBeCloseTo(onset + 2.4 + 0.25, 1);
  expect(Number.isNaN(drawing.ink.wanted[Math.round(onset * 100) + 120])).toBe(false);
  expect(Number.isNaN(drawing.ink.wanted[5])).toBe(true);
});

it('draws pitch against loudness with the bend that was played', () => {
  const { take, track } = keptTake('growFade');
  const { points, line } = scatterPoints(take, track.slice(0));
  expect(points.length).toBeGreaterThan(80);
  expect(points.length).toBeLessThanOrEqual(220);
  const [soft, loud] = line ?? [];
  // WARM_UP sinks 8 cents for 10 dB; the scale is 30 dB long.
  expect(
    ((loud?.cents ?? 0) - (soft?.cents ?? 0)) / ((loud?.loudness ?? 0) - (soft?.loudness ?? 1)),
  ).toBeCloseTo(-24, -1);
  // From pp, a seventh of the scale, to ff, six sevenths, in 1.2 s, of which the first 0.15 are not counted.
  expect(soft?.loudness).toBeCloseTo(1 / 7 + ((0.15 / 1.2) * 5) / 7, 1);
  expect(loud?.loudness).toBeCloseTo(6 / 7, 1);
});

it('keeps the filter in the address, and looks for its words in any order and spelling of vowels', () => {
  const all = { note: '', horn: '', day: '', words: '' };
  const found = { ...all, note: '70', horn: 'tenor', day: '2026-03-14', words: 'ubt  BLATT' };
  expect(readFilter(new URLSearchParams(filterSearch(found)))).toEqual(found);
  expect(filterSearch(all)).toBe('');
  expect(choiceOf(found).holds?.('Neues Blatt, übt sich schwer')).toBe(true);
  expect(choiceOf({ ...found, words: 'blatt x' }).holds?.('Neues Blatt, übt sich schwer')).toBe(false);
  expect(choiceOf(all).holds).toBeNull();
});

it('tells a take in one paragraph that agrees with its figures', async () => {
  const t = await i18next.init({ lng: 'en', resources: { en: { translation: { ...startup, ...app } } } });
  const { take, track } = keptTake('growFade');
  const told = describeTake(take, drawTake(take, track.slice(0)), 'Even.', 'letters', t);
  const words =
    /^B flat 4, pp – ff – pp, \d\.\d s long\. It began (\d+) cents? sharp at (p|pp|mp), was (\d+) cents? flat at f{1,3} after (\d\.\d) s, and ended (\d+) cents? sharp at (p|pp|mp)\. /.exec(
      told,
    );
  expect(words).not.toBeNull();
  const [began, loud, after, ended] = [1, 3, 4, 5].map((i) => Number(words?.[i]));
  const { measures } = take.analysis ?? {};
  // Moments of a tenth of the take against figures of whole ends.
  expect(Math.abs(loud + (measures?.loudEndCents ?? 0))).toBeLessThan(6);
  expect(Math.abs((began + ended) / 2 - (measures?.softEndCents ?? 0))).toBeLessThan(6);
  // The turn is in the middle of 2.4 s.
  expect(Math.abs(after - 1.2)).toBeLessThan(0.4);
  // Somebody else's recording without a tone has nothing to tell but that.
  const silent = { ...take, analysis: null, context: null, kind: 'other' as const };
  const nothing = drawTake(silent, new FrameTrack(50).slice(0));
  expect(describeTake(silent, nothing, '', 'letters', t)).toMatch(
    /^Another player, .* No tone was found in it\.$/,
  );
});

it('keeps how loud the take was, for the scale to learn from', () => {
  const { take } = keptTake('growFade');
  // pp is -41.7 and ff -20.3 dBFS on the simulated player's scale.
  expect(take.loudness?.softDb).toBeGreaterThan(-44);
  expect(take.loudness?.softDb).toBeLessThan(-38);
  expect(take.loudness?.loudDb).toBeGreaterThan(-23);
  expect(take.loudness?.loudDb).toBeLessThan(-19);
});

it('writes a document in which what has no answer is null, and a name that sorts', () => {
  const { take, track } = keptTake('fade');
  const document = JSON.parse(JSON.stringify(takeDocument(take, track.slice(0)))) as {
    frames: { timeSeconds: number; f0Hz: number | null }[];
  };
  expect(document.frames[3]).toMatchObject({ timeSeconds: 0.03, f0Hz: null });
  expect(document.frames[150].f0Hz).toBeGreaterThan(100);
  expect(takeFileName(take)).toBe('2026-03-14 184205 Bb4');
});
