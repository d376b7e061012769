import { expect, it } from 'vitest';
import { DEFAULT_SCALE, familyById, levelAtFraction, phraseExercise } from '@inner-hum/core/exercise';
import { FrameTrack } from '@inner-hum/core/hearing';
import { hornById } from '@inner-hum/core/horn';
import { deviationStep } from './deviation.ts';
import { INK, InkTrack, NO_INK, STRAY } from './inkTrack.ts';
import { createLayout } from './layout.ts';
import { inkRuns } from './paintInk.ts';
import { fitBeforeNext } from './paintScore.ts';
import { DEVIATION_STEPS } from './palette.ts';
import { loudnessAt, scoreLayout } from './scoreLayout.ts';
import { writtenInk } from './writtenInk.ts';

const note = { targetHz: 233, tubeHz: 233, partial: 1, fromSeconds: 0, toSeconds: 8 };
const setting = { scale: DEFAULT_SCALE, a4Hz: 440, notes: [note], wantedAt: () => 0.5 };
const mf = levelAtFraction(4 / 7, DEFAULT_SCALE);

function inkOf(...cents: (number | null)[]): InkTrack {
  const track = new FrameTrack();
  for (const value of cents)
    track.append(value === null ? NaN : 233 * 2 ** (value / 1200), value === null ? 0.1 : 1, mf, 3, -30);
  const ink = new InkTrack(setting);
  ink.follow(track);
  return ink;
}

it('draws sharp above the rule, flat below, loud thick and soft thin', () => {
  const layout = createLayout({ width: 800, height: 400, left: 0, right: 800, fromSeconds: 0, toSeconds: 8 });
  expect(layout.xAt(4)).toBe(400);
  expect(layout.yAt(20)).toBeLessThan(layout.ruleY);
  expect(layout.yAt(-20) - layout.ruleY).toBeCloseTo(layout.ruleY - layout.yAt(20), 9);
  expect(layout.halfAt(1)).toBeGreaterThan(3 * layout.halfAt(0));
  // The loudest note 40 cents off still fits the drawing.
  expect(layout.yAt(40) - layout.halfAt(1)).toBeGreaterThan(-20);
});

it('turns a partial of the tube into stray ink and other sounds into none', () => {
  const ink = inkOf(0, 5, 1203, 1900, null, 300, 70);
  expect(Array.from(ink.kind.subarray(0, 7))).toEqual([INK, INK, STRAY, STRAY, NO_INK, NO_INK, NO_INK]);
  expect([ink.partial[2], ink.partial[3]]).toEqual([2, 3]);
  expect(ink.cents[2]).toBeCloseTo(3, 3);
  expect(ink.loudness[0]).toBeCloseTo(4 / 7, 6);
});

it('keeps ink plain within 5 cents and parts sharp from flat beyond', () => {
  expect([0, 5, -5].map(deviationStep)).toEqual([0, 0, 0]);
  expect(deviationStep(40)).toBe(DEVIATION_STEPS);
  const runs = inkRuns(inkOf(...Array<number>(20).fill(30), ...Array<number>(20).fill(-30)), 0, 40);
  expect(runs[0]).toMatchObject({ from: 0, side: 1, step: DEVIATION_STEPS });
  expect(runs.at(-1)).toMatchObject({ to: 39, side: -1, step: DEVIATION_STEPS });
});

it('reads the same ink whether frames come at once or one by one', () => {
  const track = new FrameTrack();
  const slow = new InkTrack(setting);
  for (let i = 0; i < 50; i++) {
    track.append(233 * 2 ** (Math.sin(i / 5) / 60), 1, mf - i / 5, 3, -20);
    slow.follow(track);
  }
  const fast = new InkTrack(setting);
  fast.follow(track);
  expect(slow.cents.slice(0, 50)).toEqual(fast.cents.slice(0, 50));
  expect(inkRuns(slow, 0, 50)).toEqual(inkRuns(fast, 0, 50));
});

it('draws each note of a line against its own rule, also where it comes a little late, and nothing between them', () => {
  const track = new FrameTrack();
  const at = (cents: number, frames: number) => {
    for (let i = 0; i < frames; i++) track.append(233 * 2 ** (cents / 1200), 1, mf, 3, -30);
  };
  // A half step down is written after 1 s and comes after 1.2 s.
  at(4, 120);
  at(-97, 100);
  const down = 233 * 2 ** (-100 / 1200);
  const ink = new InkTrack({
    ...setting,
    notes: [
      { ...note, toSeconds: 1 },
      { targetHz: down, tubeHz: down, partial: 1, fromSeconds: 1, toSeconds: 2 },
    ],
  });
  ink.follow(track);
  expect(ink.cents[115]).toBeCloseTo(4, 3);
  expect(ink.cents[125]).toBeCloseTo(3, 3);
  expect([ink.kind[115], ink.kind[125]]).toEqual([INK, INK]);
  const apart = new InkTrack({
    ...setting,
    notes: [
      { ...note, fromSeconds: 5, toSeconds: 6 },
      { ...note, fromSeconds: 9, toSeconds: 10 },
    ],
  });
  apart.follow(track);
  expect(Array.from(apart.kind.subarray(0, 220)).every((kind) => kind === NO_INK)).toBe(true);
});

it('is painted where it is drawn: the loudness under a hand is that of the outline there', () => {
  const exercise = familyById('swell')?.build(hornById('alto'));
  if (!exercise) throw new Error('no family');
  const layout = scoreLayout(exercise, 800, 150);
  for (const loudness of [0, 0.25, 0.5, 0.75, 1])
    for (const side of [1, -1])
      expect(loudnessAt(layout, layout.ruleY + side * layout.halfAt(loudness))).toBeCloseTo(loudness, 9);
  expect([loudnessAt(layout, 0), loudnessAt(layout, layout.ruleY)]).toEqual([1, 0]);
});

it('follows a written bend: what goes with the rule is no deviation', () => {
  const built = familyById('mouthpieceAlone')?.build(hornById('alto'), { bend: 3 });
  if (!built) throw new Error('no family');
  const exercise = phraseExercise(built, 1);
  const setting = writtenInk({ exercise, hornId: 'alto', a4Hz: 440, scale: DEFAULT_SCALE }, 0);
  const target = setting.notes?.[0].targetHz ?? 0;
  const track = new FrameTrack();
  // Eight beats of a second: down from beat 2 to 4 by 300 cents, back until 6.
  const bend = (seconds: number) =>
    seconds < 2 ? 0 : seconds < 4 ? -150 * (seconds - 2) : seconds < 6 ? -300 + 150 * (seconds - 4) : 0;
  for (let i = 0; i < 800; i++) track.append(target * 2 ** (bend(i / 100) / 1200), 1, mf, 3, -30);
  const ink = new InkTrack(setting);
  ink.follow(track);
  expect(Array.from(ink.kind.subarray(0, 800)).every((kind) => kind === INK)).toBe(true);
  for (const i of [100, 300, 400, 500, 700]) expect(Math.abs(ink.cents[i])).toBeLessThan(1);
  expect(ink.bend[400]).toBeCloseTo(-300, 0);
});

it('leaves out a name that would run into the next one, as on a phone', () => {
  const words = [
    { x: 26, width: 30 },
    { x: 156, width: 77 },
    { x: 221, width: 30 },
  ];
  expect(fitBeforeNext(words)).toEqual([true, false, true]);
  expect(fitBeforeNext(words.map((word) => ({ ...word, x: 3 * word.x })))).toEqual([true, true, true]);
  expect(fitBeforeNext([])).toEqual([]);
});
