import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FrameTrack, MAX_PARTIAL } from '../hearing/index.ts';
import { createRandom } from '../signal/index.ts';
import { evenLevelMoves } from './evenLevel.ts';
import { ringsMs, toleranceInRoom, TOLERANCES } from './tolerances.ts';
import { withoutTails } from './withoutTails.ts';

/** A frame of 10 ms: its level, and its pitch where it has one. */
type Frame = readonly [levelDb: number, f0Hz: number | null];

function trackOf(frames: readonly Frame[]): FrameTrack {
  const track = new FrameTrack(frames.length);
  for (const [levelDb, f0Hz] of frames)
    if (f0Hz === null) track.append(Number.NaN, 0, levelDb, Number.NaN, Number.NaN, levelDb - 30);
    else track.append(f0Hz, 0.95, levelDb, 3, -20);
  return track;
}

const FLOOR_DB = -80;
const silence = (seconds: number): Frame[] =>
  Array.from({ length: Math.round(100 * seconds) }, () => [FLOOR_DB, null]);
const tone = (seconds: number, levelDb: number, f0Hz = 220): Frame[] =>
  Array.from({ length: Math.round(100 * seconds) }, () => [levelDb, f0Hz]);

/** What a room leaves of a tone: first the direct sound goes, then it sinks at its pace, and comes and goes by `ripplesDb`. */
function tail(
  fromDb: number,
  dbPerSecond: number,
  more: { isPitched?: boolean; ripplesDb?: number } = {},
): Frame[] {
  const { isPitched = true, ripplesDb = 0 } = more;
  const random = createRandom(5);
  const frames: Frame[] = [];
  for (let db = fromDb - 5; db > FLOOR_DB + 4; db -= dbPerSecond / 100)
    frames.push([db + ripplesDb * (random.uniform() - 0.5), isPitched ? 220 : null]);
  return frames;
}

const ends = (track: FrameTrack) =>
  Array.from(track.columns.f0Hz.subarray(0, track.count)).findLastIndex((hz) => !Number.isNaN(hz));

describe('what rings on after a tone', () => {
  it.each([30, 70, 170])('is taken away, and its pace of %i dB a second is told', (dbPerSecond) => {
    const frames = [...silence(0.5), ...tone(2, -30), ...tail(-30, dbPerSecond), ...silence(0.5)];
    const { track, roomDecayDbPerSecond } = withoutTails(trackOf(frames));
    expect(roomDecayDbPerSecond).toBeGreaterThan(0.8 * dbPerSecond);
    expect(roomDecayDbPerSecond).toBeLessThan(1.4 * dbPerSecond);
    expect(Math.abs(ends(track) - 249)).toBeLessThanOrEqual(3);
  });

  it('is noticed where it has lost its pitch with the tone', () => {
    const frames = [
      ...silence(0.5),
      ...tone(2, -30),
      ...tail(-30, 170, { isPitched: false }),
      ...silence(0.5),
    ];
    const { roomDecayDbPerSecond } = withoutTails(trackOf(frames));
    expect(roomDecayDbPerSecond).toBeGreaterThan(140);
    expect(roomDecayDbPerSecond).toBeLessThan(240);
  });

  it('is followed to its beginning where it comes and goes', () => {
    const frames = [...silence(0.5), ...tone(2, -30), ...tail(-30, 33, { ripplesDb: 6 }), ...silence(0.5)];
    expect(Math.abs(ends(withoutTails(trackOf(frames)).track) - 249)).toBeLessThanOrEqual(6);
  });

  it('is nothing in a dry room: an end of 20 ms', () => {
    const end: Frame[] = [
      [-42, 220],
      [-66, 220],
    ];
    const heard = trackOf([...silence(0.5), ...tone(2, -30), ...end, ...silence(1)]);
    expect(withoutTails(heard)).toEqual({ track: heard, roomDecayDbPerSecond: null });
  });

  it('is not a tone that goes on softer after a step', () => {
    const frames = [...tone(2, -24), ...tone(3, -40), ...tail(-40, 70), ...silence(0.5)];
    expect(ends(withoutTails(trackOf([...silence(0.5), ...frames])).track)).toBeGreaterThan(540);
  });

  it('never takes away anything of a steady tone, however loud, long and high', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -50, max: -10 }),
        fc.integer({ min: 30, max: 400 }),
        fc.integer({ min: 60, max: 1500 }),
        fc.integer({ min: 25, max: 300 }),
        (levelDb, length, f0Hz, dbPerSecond) => {
          const held = tone(length / 100, levelDb, f0Hz);
          const rings = tail(levelDb, dbPerSecond).map(([db, hz]): Frame => [db, hz && f0Hz]);
          const { track } = withoutTails(trackOf([...silence(0.5), ...held, ...rings, ...silence(0.5)]));
          const kept = track.columns.f0Hz.subarray(50, 50 + length - 3);
          expect(kept.every((hz) => !Number.isNaN(hz))).toBe(true);
        },
      ),
    );
  });
});

it('a room that sinks slowly rings longer over the next note, and makes the band of levels wider', () => {
  expect(ringsMs(null)).toBe(0);
  expect(ringsMs(100)).toBe(100);
  expect(ringsMs(33)).toBeCloseTo(303, 0);
  const { usual } = TOLERANCES;
  expect(toleranceInRoom(usual, null)).toEqual(usual);
  expect(toleranceInRoom(usual, 100)).toEqual({ ...usual, swellErrorDb: usual.swellErrorDb + 3.5 });
});

describe('how a level moves by its partials alike', () => {
  const length = 100;
  const partials = (levelOf: (k: number, i: number) => number) => {
    const track = trackOf(tone(1, -30));
    for (let i = 0; i < length; i++)
      for (let k = 0; k < 6; k++) track.columns.partialsDb[i * MAX_PARTIAL + k] = levelOf(k, i);
    return track;
  };

  it('follows what all of them do', () => {
    const moves = evenLevelMoves(
      partials((k, i) => -40 - 6 * k + 0.1 * i),
      0,
      length,
    );
    expect(moves?.[99]).toBeCloseTo(0.1 * 49.5, 1);
    expect(moves?.[0]).toBeCloseTo(-0.1 * 49.5, 1);
  });

  it('leaves of what one of them does a sixth', () => {
    const moves = evenLevelMoves(
      partials((k, i) => -40 - 6 * k - (k === 0 && i >= 60 ? 12 : 0)),
      0,
      length,
    );
    expect(moves?.[80]).toBeCloseTo(-2, 5);
  });

  it('is not told where fewer than three stand out', () => {
    expect(
      evenLevelMoves(
        partials((k) => (k < 2 ? -40 : Number.NaN)),
        0,
        length,
      ),
    ).toBeNull();
    expect(evenLevelMoves(trackOf(tone(1, -30)), 0, length)).toBeNull();
  });
});
