import { describe, expect, it } from 'vitest';
import { FrameTrack } from '../hearing/index.ts';
import { measureNote } from './noteMeasures.ts';
import { readNote, type NoteTrack } from './noteTrack.ts';
import {
  centsAtEnd,
  centsOverall,
  dynamicSpanDb,
  pitchSlopeCentsPer10Db,
  softEndBreathDb,
} from './pitchMeasures.ts';

const FRAMES = 800;

function noteOf(cents: (i: number) => number, levelDb: (i: number) => number): NoteTrack {
  const column = (read: (i: number) => number) => Float64Array.from({ length: FRAMES }, (_, i) => read(i));
  return {
    timeSeconds: column((i) => i / 100),
    cents: column(cents),
    levelDb: column(levelDb),
    centroidHarmonics: column((i) => 3 + levelDb(i) / 20),
    noiseToHarmonicDb: column(() => -20),
  };
}

/** From -40 to -20 dBFS and back. */
const swell = (i: number) => -20 - 20 * Math.abs(i / (FRAMES / 2) - 1);

describe('cents over the steady part', () => {
  it('is the median and half the 16-84 width, unmoved by a few wild frames', () => {
    const { centsMean, centsSpread } = centsOverall(noteOf((i) => (i % 50 === 0 ? 90 : (i % 5) - 2), swell));
    expect(centsMean).toBe(0);
    // -2..2 in equal parts: the 16th percentile is -2 and the 84th 2.
    expect(centsSpread).toBe(2);
    expect(centsOverall(noteOf(() => Number.NaN, swell))).toEqual({
      centsMean: null,
      centsSpread: null,
      withinCents: null,
    });
  });
});

describe('the two ends', () => {
  it.each([
    ['all frames', 1, -20],
    ['most of them', 0.6, -20],
    ['few of them', 0.3, null],
    ['none', 0, null],
  ])('reads breath where it is softest, where %s tell', (_, share, breathDb) => {
    const note = noteOf(() => 0, swell);
    const told = note.noiseToHarmonicDb.map((db, i) => (i % 10 < 10 * share ? db : Number.NaN));
    expect(softEndBreathDb({ ...note, noiseToHarmonicDb: told })).toBe(breathDb);
  });

  it('reads pitch where it is softest and loudest', () => {
    const note = noteOf((i) => (swell(i) > -22.5 ? -14 : swell(i) < -37.5 ? 11 : 0), swell);
    // The ends reach 3 dB to either side of the 5th and 95th percentile (-39 and -21 dBFS).
    expect(centsAtEnd(note, 'loud')).toBe(-14);
    expect(centsAtEnd(note, 'soft')).toBe(11);
  });

  it('has no answer where an end has no pitch', () => {
    expect(
      centsAtEnd(
        noteOf((i) => (swell(i) < -30 ? Number.NaN : 3), swell),
        'soft',
      ),
    ).toBeNull();
  });
});

describe('pitchSlopeCentsPer10Db', () => {
  it('is the slope in cents per 10 dB, with how much it explains', () => {
    const bend = pitchSlopeCentsPer10Db(noteOf((i) => -0.9 * (swell(i) + 30), swell));
    expect(bend.pitchSlopeCentsPer10Db).toBeCloseTo(-9, 1);
    expect(bend.pitchSlopeR2).toBeGreaterThan(0.99);
  });

  it('explains nothing where pitch goes its own way', () => {
    const bend = pitchSlopeCentsPer10Db(noteOf((i) => (i < FRAMES / 2 ? 12 : -12), swell));
    expect(Math.abs(bend.pitchSlopeCentsPer10Db ?? 99)).toBeLessThan(3);
    expect(bend.pitchSlopeR2).toBeLessThan(0.2);
  });

  it('has no answer where the level hardly moves', () => {
    expect(
      pitchSlopeCentsPer10Db(
        noteOf(
          (i) => i / 50,
          (i) => -30 + i / 400,
        ),
      ),
    ).toEqual({ pitchSlopeCentsPer10Db: null, pitchSlopeR2: null });
    expect(dynamicSpanDb(noteOf(() => 0, swell))).toBeCloseTo(18, 1);
  });
});

it('measures a note of which nothing was written', () => {
  // A tenth of a cent a frame is 10 cents/s; centroidHarmonics is built to move 0.5 per 10 dB.
  const measures = measureNote(noteOf((i) => i / 10, swell));
  expect(measures.driftCentsPerSecond).toBeCloseTo(10, 6);
  expect(measures.centroidSlopeHarmonicsPer10Db).toBeCloseTo(0.5, 3);
  expect(measures.levelDb).toBeCloseTo(-30, 1);
  // Level is spread evenly over 20 dB: the 16-84 half-width of that is 0.34 of it.
  expect(measures.levelSpreadDb).toBeCloseTo(6.8, 1);
  expect(measures.levelDriftDbPerSecond).toBeCloseTo(0, 1);
  expect(measures.noiseToHarmonicDb).toBe(-20);
});

describe('the steady part', () => {
  const target = { targetHz: 220, tubeHz: 220, partial: 1 };
  function trackOf(...f0Hz: number[]): FrameTrack {
    const track = new FrameTrack();
    for (const hz of f0Hz) track.append(hz, 1, -30, 3, -30);
    return track;
  }

  it('leaves out 150 ms at either end, other partials, and what is masked', () => {
    const pitches = Array.from({ length: 60 }, (_, i) => (i === 30 ? 440 : i === 31 ? NaN : 220));
    const masked = new Uint8Array(60);
    masked[32] = 1;
    const note = readNote(trackOf(...pitches), { first: 0, last: 59 }, target, masked);
    expect(note.timeSeconds[0]).toBeCloseTo(0.15, 9);
    expect(note.timeSeconds).toHaveLength(30);
    const cents = Array.from(note.cents);
    expect([cents[14], cents[15], cents[16], cents[17], cents[18]].map(Number.isNaN)).toEqual([
      false,
      true,
      true,
      true,
      false,
    ]);
    // A jump has no pitch of this note, but it has a level; a masked frame has neither.
    expect(Number.isNaN(note.levelDb[15])).toBe(false);
    expect(Number.isNaN(note.levelDb[17])).toBe(true);
  });

  it('is empty for a note shorter than its edges', () => {
    expect(
      readNote(trackOf(220, 220, 220), { first: 0, last: 2 }, target, new Uint8Array(3)).cents,
    ).toHaveLength(0);
  });
});
