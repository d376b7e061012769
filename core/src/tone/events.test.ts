import { describe, expect, it } from 'vitest';
import { trackOf, type TrackPart } from '../testing/trackOf.ts';
import {
  fadeMs,
  frameMask,
  findGaps,
  findNotes,
  findSlips,
  findToneSpan,
  measureRelease,
  partialOf,
} from './index.ts';

describe('partials of a tube', () => {
  it('takes what is within 60 cents of a multiple, and nothing else', () => {
    expect([100, 203, 297, 400, 702].map((hz) => partialOf(hz, 100))).toEqual([1, 2, 3, 4, 7]);
    expect([104, 145, 50].map((hz) => partialOf(hz, 100))).toEqual([null, null, null]);
  });
});

describe('the span of a tone', () => {
  it('begins with 50 ms of connected, clear pitch and ends with the last such stretch', () => {
    const track = trackOf([20, null, -70], [3, 220], [5, null, -60], [200, 220], [4, 500], [30, null, -70]);
    expect(findToneSpan(track, null)).toEqual({ first: 28, last: 227 });
  });

  it('is not fooled by hum under the floor, by murmur, or by pitch that leaps about', () => {
    expect(findToneSpan(trackOf([100, 100, -66]), -65)).toBeNull();
    expect(findToneSpan(trackOf([100, 220, -30, 0.4]), null)).toBeNull();
    expect(
      findToneSpan(
        trackOf(...Array.from({ length: 50 }, (_, i): TrackPart => [1, i % 2 === 0 ? 220 : 330])),
        null,
      ),
    ).toBeNull();
    // Hum 50 dB under the note is the room.
    expect(findToneSpan(trackOf([100, 100, -75], [100, 220, -25], [100, 100, -75]), null)).toEqual({
      first: 100,
      last: 199,
    });
  });
});

describe('the release', () => {
  const release = (...end: TrackPart[]) => {
    const track = trackOf([20, null, -70], [200, 220, -30], ...end, [40, null, -70]);
    const span = findToneSpan(track, null);
    return span && measureRelease(track, span, 0);
  };
  const fade = (frames: number, cents: number) =>
    Array.from({ length: frames }, (_, i): TrackPart => {
      const share = (i + 1) / frames;
      return [1, 220 * 2 ** ((-cents * share) / 1200), -30 - 25 * share];
    });

  it('is clean where the tone stops at once on its pitch', () => {
    expect(release()).toMatchObject({ clean: true, sagCents: 0 });
    expect(release(...fade(8, 10))?.clean).toBe(true);
  });

  it('says how long a tone takes to go', () => {
    const went = (...end: TrackPart[]) => {
      const track = trackOf([20, null, -70], [200, 220, -30], ...end, [40, null, -70]);
      return fadeMs(track, findToneSpan(track, null) ?? { first: 0, last: 0 }, -30);
    };
    expect(went()).toBe(0);
    // 25 dB over 500 ms: 6 of them are down after 120.
    expect(went(...fade(50, 0))).toBeCloseTo(380, -1.5);
  });

  it('is none where the next note is slurred to, or the sound ends with the tone', () => {
    const slur = trackOf([20, null, -70], [100, 220], [100, 330], [30, null, -70]);
    expect(measureRelease(slur, { first: 20, last: 119 }, 0)).toBeNull();
    expect(measureRelease(trackOf([100, 220]), { first: 0, last: 99 }, 0)).toBeNull();
  });

  it('sags where it fades slowly or sinks, and says by how much', () => {
    expect(release(...fade(35, 0))).toMatchObject({ clean: false });
    const sunk = release(...fade(8, 60));
    expect(sunk?.clean).toBe(false);
    expect(sunk?.sagCents).toBeGreaterThan(30);
  });
});

describe('slips to another partial', () => {
  const span = { first: 0, last: 399 };
  const slips = (...parts: TrackPart[]) => findSlips(trackOf(...parts), span, 220, 1, new Uint8Array(400));

  it('tells jump from crack at 150 ms, and lets shorter than 30 ms pass', () => {
    expect(slips([100, 220], [15, 440], [285, 220])).toEqual([
      { type: 'jump', timeSeconds: 1, lengthSeconds: 0.15, from: 1, to: 2 },
    ]);
    expect(slips([100, 220], [14, 660], [286, 220])[0]).toMatchObject({ type: 'crack', to: 3 });
    expect(slips([100, 220], [2, 440], [298, 220])).toEqual([]);
  });

  it('hears a squeak break out, but no squeak in a bend or in the change of a jump', () => {
    expect(slips([100, 220], [6, 530], [294, 220])).toEqual([
      { type: 'squeak', timeSeconds: 1, lengthSeconds: 0.06, soundingHz: 530 },
    ]);
    const bend = Array.from({ length: 20 }, (_, i): TrackPart => [1, 220 * 2 ** ((-10 * (i + 1)) / 1200)]);
    expect(slips([100, 220], ...bend, [280, 220])).toEqual([]);
    expect(slips([100, 220], [2, 310], [50, 440], [248, 220]).map(({ type }) => type)).toEqual(['jump']);
  });

  it('ends a slip with the tone, and parts one that moves on to a third partial', () => {
    expect(slips([380, 220], [20, 440])).toHaveLength(1);
    expect(
      slips([100, 220], [50, 440], [50, 660], [200, 220]).map((slip) => ('to' in slip ? slip.to : null)),
    ).toEqual([2, 3]);
  });

  it('calls no bend a slip', () => {
    expect(slips([200, 220], [200, 232])).toEqual([]);
  });
});

describe('gaps', () => {
  const span = { first: 0, last: 207 };
  const gaps = (...parts: TrackPart[]) => {
    const track = trackOf(...parts);
    return findGaps(track, { first: 0, last: track.count - 1 }, new Uint8Array(track.count));
  };

  it('takes a knock, which is loud, for none, and says nothing of masked frames', () => {
    expect(gaps([100, 220], [4, null, -22], [100, 220])).toEqual([]);
    const track = trackOf([100, 220], [8, null, -60], [100, 220]);
    const masked = new Uint8Array(track.count).fill(1, 98, 106);
    expect(findGaps(track, { first: 0, last: track.count - 1 }, masked)).toEqual([]);
    expect(findSlips(trackOf([100, 220], [8, 440], [100, 220]), span, 220, 1, masked)).toEqual([]);
  });

  it('sees a hole in pitch and a dip in level, with its length', () => {
    expect(gaps([100, 220], [8, null, -60], [100, 220])).toEqual([{ timeSeconds: 1, lengthSeconds: 0.08 }]);
    expect(gaps([100, 220], [6, 220, -40], [100, 220])).toHaveLength(1);
    expect(gaps([100, 220], [6, 220, -35], [100, 220])).toEqual([]);
  });

  it('takes a fast fade for a fade', () => {
    const fade = Array.from({ length: 100 }, (_, i): TrackPart => [1, 220, -20 - i / 2]);
    expect(gaps(...fade)).toEqual([]);
  });
});

describe('what must not be measured', () => {
  it('covers a foreign sound and the reach of the level window, inside the take only', () => {
    const masked = frameMask(100, [
      { timeSeconds: 0.5, lengthSeconds: 0.02 },
      { timeSeconds: -0.01, lengthSeconds: 0.02 },
      { timeSeconds: 5, lengthSeconds: 1 },
    ]);
    // 0.475 to 0.545 s are frames 48 to 54; -0.035 to 0.035 are 0 to 3.
    const frames = Array.from(masked.keys()).filter((i) => masked[i] === 1);
    expect(frames).toEqual([0, 1, 2, 3, 48, 49, 50, 51, 52, 53, 54]);
  });
});

describe('the notes of free playing', () => {
  const notes = (...parts: TrackPart[]) =>
    findNotes(trackOf(...parts), null).map(({ first, last }) => [first, last]);
  /** A glide of so many cents a frame. */
  const glide = (frames: number, from: number, centsPerFrame: number) =>
    Array.from({ length: frames }, (_, i): TrackPart => [1, from * 2 ** ((i * centsPerFrame) / 1200)]);

  it('parts a slurred semitone, also where the window smears it, and a repeated note after a rest', () => {
    expect(notes([50, 220], [50, 233.08], [20, null, -70], [50, 233.08])).toEqual([
      [0, 49],
      [50, 99],
      [120, 169],
    ]);
    const smeared = notes([50, 220], ...glide(5, 220, 20), [50, 233.08]);
    expect(smeared).toHaveLength(2);
    expect(smeared[1][0]).toBeGreaterThan(50);
    expect(smeared[1][0]).toBeLessThan(57);
  });

  it('keeps a bend, vibrato, a crack and a short hole inside their note', () => {
    expect(notes([20, 220], ...glide(150, 220, -0.6))).toHaveLength(1);
    const vibrato = Array.from({ length: 200 }, (_, i): TrackPart => [
      1,
      220 * 2 ** ((40 * Math.sin(i / 3)) / 1200),
    ]);
    expect(notes(...vibrato)).toHaveLength(1);
    expect(notes([60, 220], [8, 440], [60, 220], [9, null, -70], [60, 220])).toEqual([[0, 196]]);
    expect(notes([60, 220], [20, 440], [60, 220])).toHaveLength(3);
    expect(notes([300, null, -70])).toEqual([]);
  });
});
