import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { trackOf, type TrackPart } from '../testing/trackOf.ts';
import { createClearWatch } from './clear.ts';
import { clearSeconds, findStretches, phrasesHeard, pitchRuns, withoutPitch } from './index.ts';

const bent = (hz: number, cents: number) => hz * 2 ** (cents / 1200);
const anyTrack = fc
  .array(fc.tuple(fc.integer({ min: 1, max: 60 }), fc.option(fc.constantFrom(220, 221, 233.08, 330, 440))), {
    maxLength: 8,
  })
  .map((parts) => trackOf(...parts));

describe('runs of pitch', () => {
  it('part at silence, at a leap, and where another thing is said of a pitch', () => {
    const track = trackOf([10, 220], [5, null], [10, 220], [10, 330], [10, 332]);
    expect(pitchRuns(track)).toEqual([
      { first: 0, last: 9 },
      { first: 15, last: 24 },
      { first: 25, last: 44 },
    ]);
    expect(pitchRuns(track, (hz) => hz > 331).map(({ first }) => first)).toEqual([0, 15, 25, 35]);
    expect(pitchRuns(track, (_, frame) => frame < 4).map(({ first }) => first)).toEqual([0, 4, 15, 25]);
    expect(pitchRuns(trackOf([20, null]))).toEqual([]);
  });

  it('hold every frame with a pitch once, in order', () => {
    fc.assert(
      fc.property(anyTrack, (track) => {
        const frames = pitchRuns(track).flatMap(({ first, last }) =>
          Array.from({ length: last - first + 1 }, (_, i) => first + i),
        );
        const pitched = [...track.columns.f0Hz.subarray(0, track.count).entries()]
          .filter(([, hz]) => !Number.isNaN(hz))
          .map(([i]) => i);
        expect(frames).toEqual(pitched);
      }),
    );
  });

  it('can be taken out of a copy, and the track stays as it was', () => {
    const track = trackOf([10, 220], [10, 330]);
    const without = withoutPitch(track, [{ first: 5, last: 14 }]);
    expect(pitchRuns(without)).toEqual([
      { first: 0, last: 4 },
      { first: 15, last: 19 },
    ]);
    expect([...without.columns.clarity].map((clarity) => clarity > 0)).toEqual(
      Array.from({ length: 20 }, (_, i) => i < 5 || i > 14),
    );
    expect(without.columns.levelDb[7]).toBe(track.columns.levelDb[7]);
    expect(pitchRuns(track)).toHaveLength(2);
  });
});

describe('stretches of tone', () => {
  it('hold a pitch within 60 cents, for 50 ms and more', () => {
    const stretches = findStretches(
      trackOf([4, 220], [10, null], [5, 220], [10, null], [40, 220], [40, bent(220, 70)]),
      null,
    );
    expect(stretches.map(({ first, last }) => [first, last])).toEqual([
      [14, 18],
      [29, 68],
      [69, 108],
    ]);
    expect(stretches[2].cents - stretches[1].cents).toBeCloseTo(70, 3);
  });

  it('are no syllables: what glides and is over within 300 ms', () => {
    const glide = (frames: number, cents: number): TrackPart[] =>
      Array.from({ length: frames }, (_, i) => [1, bent(220, (cents * i) / frames)]);
    expect(findStretches(trackOf(...glide(25, 55)), null)).toEqual([]);
    expect(findStretches(trackOf(...glide(25, 30)), null)).toHaveLength(1);
    expect(findStretches(trackOf(...glide(40, 55)), null)).toHaveLength(1);
  });

  it('never overlap, and hold nothing without a pitch', () => {
    fc.assert(
      fc.property(anyTrack, (track) => {
        let end = -1;
        for (const { first, last } of findStretches(track, null)) {
          expect(first).toBeGreaterThan(end);
          expect(last - first).toBeGreaterThanOrEqual(4);
          for (let i = first; i <= last; i++) expect(track.columns.f0Hz[i]).not.toBeNaN();
          end = last;
        }
      }),
    );
  });
});

describe('phrases of a recording', () => {
  it('are parted by pauses of 1.5 s, with a little of the room around each', () => {
    const track = trackOf(
      [100, null],
      [100, 220],
      [149, null],
      [100, 330],
      [150, null],
      [100, 440],
      [100, null],
    );
    expect(
      phrasesHeard(track, null).map(({ fromSeconds, toSeconds }) => [
        fromSeconds.toFixed(2),
        toSeconds.toFixed(2),
      ]),
    ).toEqual([
      ['0.40', '4.99'],
      ['5.39', '7.49'],
    ]);
  });

  it('stay inside the recording, and leave out what is too short to be played', () => {
    expect(phrasesHeard(trackOf([50, 220]), null)).toEqual([{ fromSeconds: 0, toSeconds: 0.5 }]);
    expect(phrasesHeard(trackOf([39, 220], [60, null]), null)).toEqual([]);
    expect(phrasesHeard(trackOf([40, 220], [60, null]), null)).toHaveLength(1);
    // Tongued notes of one phrase count together.
    expect(phrasesHeard(trackOf([20, 220], [50, null], [20, 220], [60, null]), null)).toHaveLength(1);
    expect(phrasesHeard(trackOf([200, null]), null)).toEqual([]);
  });

  it('never overlap', () => {
    const long = fc
      .array(fc.tuple(fc.integer({ min: 1, max: 400 }), fc.option(fc.constantFrom(220, 330))), {
        maxLength: 8,
      })
      .map((parts) => trackOf(...parts));
    fc.assert(
      fc.property(long, (track) => {
        const phrases = phrasesHeard(track, null);
        for (const [i, { fromSeconds, toSeconds }] of phrases.entries()) {
          expect(toSeconds).toBeGreaterThan(fromSeconds);
          expect(fromSeconds).toBeGreaterThanOrEqual(i === 0 ? 0 : phrases[i - 1].toSeconds);
        }
      }),
    );
  });
});

describe('a note that became clear', () => {
  const seconds = (...parts: TrackPart[]) => {
    const track = trackOf(...parts);
    return clearSeconds(track, { first: 0, last: track.count - 1 }, 0, 220, 20);
  };

  it('stood inside the band for half a second: told from when on', () => {
    expect(seconds([30, bent(220, 25)], [60, bent(220, 15)])).toBeCloseTo(0.3, 9);
    expect(seconds([60, 220])).toBe(0);
    expect(seconds([49, 220], [20, null])).toBeNull();
    expect(seconds([60, bent(220, 21)])).toBeNull();
  });

  it('is not broken by a flicker of 30 ms, and by a longer one is', () => {
    expect(seconds([20, 220], [3, 440], [60, 220])).toBe(0);
    expect(seconds([20, 220], [4, 440], [60, 220])).toBeCloseTo(0.24, 9);
    expect(seconds([20, 220], [3, null], [20, 220], [3, null], [20, 220])).toBe(0);
  });

  it('is told from its onset, never before it', () => {
    const track = trackOf([30, null], [60, 220]);
    const all = { first: 0, last: 89 };
    expect(clearSeconds(track, all, 0.1, 220, 20)).toBeCloseTo(0.2, 9);
    expect(clearSeconds(track, all, 0.5, 220, 20)).toBe(0);
  });

  it('is told while it sounds, at the frame that makes the half second full', () => {
    const track = trackOf([10, 330], [60, 220]);
    const watch = createClearWatch(220, 20);
    const told = Array.from({ length: 70 }, (_, frame) => watch.look(track, frame));
    expect(told.findIndex((since) => since !== null)).toBe(59);
    expect(told[59]).toBe(10);
  });
});
