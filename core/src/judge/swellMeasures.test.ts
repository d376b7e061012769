import { describe, expect, it } from 'vitest';
import { levelCurve, type LevelCurve } from './levelCurve.ts';
import { findStairs, peakOffsetBeats, swellError, wrongWayPercent } from './swellMeasures.ts';

const BEATS = 8;

/** The written line: -40 dBFS at both ends, -20 at beat 4. */
const written = (beat: number) => -20 - 5 * Math.abs(beat - 4);

/** A curve at 60 beats a minute from a level drawn by hand. */
function curveOf(level: (beat: number) => number, target: (beat: number) => number = written): LevelCurve {
  const frames = Array.from({ length: 100 * BEATS + 1 }, (_, i) => i / 100);
  const note = { timeSeconds: Float64Array.from(frames), levelDb: Float64Array.from(frames, level) };
  return levelCurve(note, 0, 1, BEATS, target);
}

describe('swellErrorDb', () => {
  it('is nothing for the written line at any loudness, and the offset says which', () => {
    const error = swellError(curveOf((beat) => written(beat) + 7));
    expect(error?.rmsDb).toBeLessThan(0.05);
    expect(error?.offsetDb).toBeCloseTo(7, 1);
  });

  it('is the RMS of a known ripple', () => {
    // A sine of 2 dB over whole periods: 2 / sqrt 2 = 1.414 dB; 50 ms of smoothing hardly touch 1 Hz.
    const error = swellError(curveOf((beat) => written(beat) + 2 * Math.sin(2 * Math.PI * beat)));
    expect(error?.rmsDb).toBeCloseTo(Math.SQRT2, 1);
  });

  it('has no answer without frames, and passes over what a click hides', () => {
    expect(swellError(curveOf(() => Number.NaN))).toBeNull();
    const error = swellError(curveOf((beat) => (beat % 1 < 0.08 ? Number.NaN : written(beat))));
    expect(error?.rmsDb).toBeLessThan(0.1);
  });
});

describe('peakOffset', () => {
  it('finds a peak where it is, late or early', () => {
    for (const late of [-1, -0.25, 0, 0.5, 1.5]) {
      const curve = curveOf((beat) => -20 - 5 * Math.abs(beat - 4 - late));
      expect(peakOffsetBeats(curve, 4)).toBeCloseTo(late, 1);
    }
  });

  it('takes the middle of a plateau, not its first frame', () => {
    const curve = curveOf((beat) => (beat > 3 && beat < 6 ? -20 : -32));
    expect(peakOffsetBeats(curve, 4)).toBeCloseTo(0.5, 1);
  });

  it('has no answer in silence', () => {
    expect(
      peakOffsetBeats(
        curveOf(() => Number.NaN),
        4,
      ),
    ).toBeNull();
  });
});

describe('wrongWay', () => {
  it('is nothing for a straight swell, and for one whose peak is late', () => {
    expect(wrongWayPercent(curveOf(written), 'growFade')).toBe(0);
    expect(
      wrongWayPercent(
        curveOf((beat) => -20 - 5 * Math.abs(beat - 5)),
        'growFade',
      ),
    ).toBe(0);
  });

  it('is the share of time spent behind the best so far', () => {
    // Grows to -30 at beat 2, sinks to -36 by 3, is back at -30 at 4, goes on: behind by more than 1 dB from
    // 2.17 to 3.83, which is 1.67 of 8 beats, 20.8 per cent.
    const points = [-40, -35, -30, -36, -30, -27, -24, -22, -20];
    const curve = curveOf((beat) => {
      const below = Math.min(7, Math.floor(beat));
      return points[below] + (beat - below) * (points[below + 1] - points[below]);
    });
    const share = wrongWayPercent(curve, 'grow');
    expect(share).toBeGreaterThan(18.5);
    expect(share).toBeLessThan(22);
  });

  it('counts a fade that grows', () => {
    expect(
      wrongWayPercent(
        curveOf((beat) => -40 + 2 * beat),
        'fade',
      ),
    ).toBeGreaterThan(85);
    expect(
      wrongWayPercent(
        curveOf((beat) => -20 - 2 * beat),
        'fade',
      ),
    ).toBe(0);
  });
});

describe('stairs', () => {
  /** The written line, but standing still from `from` on for `hold` beats, then caught up within 0.05 beat. */
  const stair = (from: number, hold: number) => (beat: number) => {
    if (beat < from || beat > from + hold + 0.05) return written(beat);
    if (beat < from + hold) return written(from);
    const share = (beat - from - hold) / 0.05;
    return written(from) + share * (written(from + hold + 0.05) - written(from));
  };

  it('counts each stair once, with its size and place', () => {
    const stairs = findStairs(curveOf((beat) => (beat < 4 ? stair(1, 1)(beat) : stair(5.5, 0.8)(beat))));
    expect(stairs).toHaveLength(2);
    // 5 dB of standing still, and 0.25 dB of line in the step; the line itself moves 0.75 dB in 150 ms.
    expect(stairs[0].stepDb).toBeGreaterThan(4);
    expect(stairs[0].stepDb).toBeLessThan(5.1);
    expect(stairs[0].fromBeat).toBeGreaterThan(0.9);
    expect(stairs[0].toBeat).toBeLessThan(2.2);
    expect(stairs[1].stepDb).toBeGreaterThan(3);
  });

  it('lets a short stop, a stop without a jump, and a jump without a stop pass', () => {
    expect(findStairs(curveOf(stair(2, 0.35)))).toEqual([]);
    const calmAgain = (beat: number) =>
      beat < 1 ? -40 : beat < 4 ? -40 + (20 / 3) * (beat - 1) : written(beat);
    expect(findStairs(curveOf(calmAgain))).toEqual([]);
    expect(findStairs(curveOf((beat) => written(beat) + (beat > 2 ? 5 : 0)))).toEqual([]);
  });

  it('sees no stair where the line itself stands still', () => {
    expect(
      findStairs(
        curveOf(
          (beat) => (beat < 4 ? -30 : -24),
          () => -27,
        ),
      ),
    ).toEqual([]);
  });
});
