import { expect, it } from 'vitest';
import { buildSwell, DEFAULT_SCALE, SWELL_SHAPES, type SwellShape } from '@inner-hum/core/exercise';
import { listenTo } from '@inner-hum/core/hearing';
import { writtenMidi } from '@inner-hum/core/horn';
import { playExercise, WARM_UP } from '@inner-hum/core/standin';
import type { TakeRecord } from '../../storage/index.ts';
import { judgeRecord, newTakeRecord } from '../../workers/takeRecords.ts';
import { takeDocument } from '../../workers/takeDocument.ts';
import { readSwell } from '../../session/index.ts';
import { swellAddress } from './swellAddress.ts';
import { takeFileName } from './takeFileName.ts';
import { drawTake } from './takeInk.ts';

/** A take as the app keeps it, from the stand-in's sound. */
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
    source: 'standIn',
    eyes: 'watch',
    sampleRateHz: 32000,
    startedAt: new Date(2026, 2, 14, 18, 42, 5).getTime(),
    playerNote: '',
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

it('keeps how loud the take was, for the scale to learn from', () => {
  const { take } = keptTake('growFade');
  // pp is -41.7 and ff -20.3 dBFS on the stand-in's scale.
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
  expect(takeFileName(take)).toBe('2026-03-14 184205 B flat 4');
});
