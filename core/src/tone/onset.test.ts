import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FrameTrack } from '../hearing/index.ts';
import { airOnsetSeconds, onsetSeconds, quietestRoom } from './index.ts';

interface Frame {
  f0Hz?: number;
  levelDb: number;
  airDb?: number;
}

function trackOf(frames: readonly Frame[]): FrameTrack {
  const track = new FrameTrack(4);
  for (const { f0Hz = NaN, levelDb, airDb = NaN } of frames)
    track.append(f0Hz, Number.isNaN(f0Hz) ? 0.1 : 0.95, levelDb, 3, -30, airDb);
  return track;
}
const many = (count: number, frame: Frame) => Array.from({ length: count }, () => frame);
const ROOM: Frame = { levelDb: -70, airDb: -75 };
const TONE: Frame = { f0Hz: 220, levelDb: -30 };
/** Half the power of the tone, in dBFS. */
const HALF_DB = -30 - 10 * Math.log10(2);

describe('the onset of a tone', () => {
  it('lies where its level passes half of its power, between frames', () => {
    const at = (edge: number) =>
      onsetSeconds(trackOf([...many(30, ROOM), { levelDb: edge }, ...many(40, TONE)]), 31);
    // The frame at the edge has that power: there, to the hundredth of a frame.
    expect(at(HALF_DB)).toBeCloseTo(0.3, 3);
    // It has less: later, on the way to the first frame of the tone; it has more: before.
    expect(at(HALF_DB - 3)).toBeGreaterThan(0.3);
    expect(at(HALF_DB - 3)).toBeLessThan(0.31);
    expect(at(HALF_DB + 2)).toBeLessThan(0.3);
    expect(at(HALF_DB + 2)).toBeGreaterThan(0.29);
  });

  it('moves with the edge: the more power its frame has, the earlier', () => {
    fc.assert(
      fc.property(fc.tuple(fc.double({ min: -60, max: -31 }), fc.double({ min: -60, max: -31 })), (pair) => {
        if (pair.some((db) => Number.isNaN(db))) return;
        const [soft, loud] = pair.toSorted((a, b) => a - b);
        const at = (edge: number) =>
          onsetSeconds(trackOf([...many(30, ROOM), { levelDb: edge }, ...many(40, TONE)]), 31);
        expect(at(loud)).toBeLessThanOrEqual(at(soft) + 1e-9);
      }),
    );
  });

  it('is the first frame itself where nothing rises: a slur, or a take that begins inside a tone', () => {
    expect(onsetSeconds(trackOf(many(60, TONE)), 25)).toBeCloseTo(0.25, 9);
    expect(onsetSeconds(trackOf(many(60, TONE)), 0)).toBe(0);
    // Less than twice the power of before.
    expect(onsetSeconds(trackOf([...many(30, { ...TONE, levelDb: -32 }), ...many(30, TONE)]), 30)).toBe(0.3);
  });

  it('is looked for within 50 ms of the first frame, and up to the end of the track', () => {
    // A knock 100 ms before passes half of the power too: it is another matter.
    const knock = [...many(20, ROOM), { levelDb: -20 }, ...many(10, ROOM), ...many(40, TONE)];
    expect(onsetSeconds(trackOf(knock), 31)).toBeGreaterThan(0.29);
    expect(onsetSeconds(trackOf([...many(30, ROOM), ...many(2, TONE)]), 30)).toBeCloseTo(0.295, 2);
  });
});

describe('the room', () => {
  it('is the quietest 0.3 s without a pitch', () => {
    const room = quietestRoom(
      trackOf([
        ...many(40, { levelDb: -60, airDb: -65 }),
        ...many(40, TONE),
        ...many(30, { levelDb: -72, airDb: -78 }),
        ...many(40, TONE),
        ...many(40, { levelDb: -50, airDb: -55 }),
      ]),
    );
    expect(room?.airDb).toBeCloseTo(-78, 6);
    expect(room?.levelDb).toBeCloseTo(-72, 6);
  });

  it('is not heard in less than 0.3 s, nor across a tone, nor before where it is looked for from', () => {
    expect(quietestRoom(trackOf(many(29, ROOM)))).toBeNull();
    expect(quietestRoom(trackOf(many(30, ROOM)))).not.toBeNull();
    expect(quietestRoom(trackOf([...many(20, ROOM), TONE, ...many(20, ROOM)]))).toBeNull();
    const twice = [...many(40, ROOM), ...many(40, { levelDb: -50, airDb: -55 })];
    expect(quietestRoom(trackOf(twice))?.airDb).toBeCloseTo(-75, 6);
    expect(quietestRoom(trackOf(twice), 40)?.airDb).toBeCloseTo(-55, 6);
    expect(quietestRoom(trackOf(twice), 60)).toBeNull();
  });

  it('is never under -85 dBFS: beside digital silence everything would be air', () => {
    expect(quietestRoom(trackOf(many(40, { levelDb: -140, airDb: -150 })))).toEqual({
      airDb: -85,
      levelDb: -85,
    });
  });

  it('is a mean of power, not of decibels', () => {
    const halves = Array.from({ length: 30 }, (_, i) => ({ levelDb: -60, airDb: i % 2 === 0 ? -60 : -80 }));
    expect(quietestRoom(trackOf(halves))?.airDb).toBeCloseTo(10 * Math.log10((1e-6 + 1e-8) / 2), 6);
  });
});

describe('the onset of the air', () => {
  const AIR: Frame = { levelDb: -55, airDb: -55 };
  const before = (...frames: Frame[]) => trackOf([...many(40, ROOM), ...frames, ...many(40, TONE)]);

  it('lies where the noise before the tone reaches half of its power', () => {
    const onset = airOnsetSeconds(before(...many(20, AIR)), 60, -75) ?? NaN;
    expect(onset).toBeGreaterThan(0.39);
    expect(onset).toBeLessThanOrEqual(0.4);
  });

  it('is not told of a tongued start: less than 30 ms of air', () => {
    expect(airOnsetSeconds(before(...many(2, AIR)), 42, -75)).toBeNull();
    expect(airOnsetSeconds(before(...many(3, AIR)), 43, -75)).not.toBeNull();
    expect(airOnsetSeconds(before(), 40, -75)).toBeNull();
  });

  it('is 6 dB over the room, and is not told where none was heard', () => {
    expect(airOnsetSeconds(before(...many(20, { levelDb: -60, airDb: -69.5 })), 60, -75)).toBeNull();
    expect(airOnsetSeconds(before(...many(20, { levelDb: -60, airDb: -68.5 })), 60, -75)).not.toBeNull();
    expect(airOnsetSeconds(before(...many(20, AIR)), 60, null)).toBeNull();
  });

  it('goes on over one quieter frame in a breath, and not over three', () => {
    const broken = (quiet: number) =>
      airOnsetSeconds(before(...many(10, AIR), ...many(quiet, ROOM), ...many(10, AIR)), 60 + quiet, -75) ??
      NaN;
    expect(broken(1)).toBeLessThanOrEqual(0.4);
    expect(broken(3)).toBeGreaterThan(0.5);
  });

  it('is not known where the track begins inside it', () => {
    expect(airOnsetSeconds(trackOf([...many(20, AIR), ...many(40, TONE)]), 20, -75)).toBeNull();
  });

  it('begins before the first unclear frames of a low note, which have a pitch already', () => {
    const unclear = many(4, { f0Hz: 104, levelDb: -50 });
    const onset = airOnsetSeconds(before(...many(20, AIR), ...unclear), 64, -75) ?? NaN;
    expect(onset).toBeGreaterThan(0.39);
    expect(onset).toBeLessThanOrEqual(0.4);
  });
});
