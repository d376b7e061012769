import { describe, expect, it } from 'vitest';
import { FRAME_SECONDS, listenTo } from '../hearing/index.ts';
import { falling, sineSum } from '../testing/sineSum.ts';
import { isOfStanding, runsOf, standingTone, type Run } from './soundRuns.ts';

const RATE = 24000;
const DRONE_HZ = 146.83;
const asked = () => true;

/** Tones one after the other, each `[hz, level of its RMS in dBFS, seconds]`; 0 Hz is silence. */
function tones(...parts: readonly (readonly [hz: number, db: number, seconds: number])[]) {
  const amplitudes = falling(8);
  const rms = Math.sqrt(amplitudes.reduce((sum, amplitude) => sum + (amplitude * amplitude) / 2, 0));
  let phase = 0;
  const samples = parts.flatMap(([hz, db, seconds]) =>
    Array.from({ length: seconds * RATE }, () => {
      phase += (2 * Math.PI * hz) / RATE;
      return hz === 0 ? 0 : (10 ** (db / 20) / rms) * sineSum(amplitudes, phase);
    }),
  );
  return listenTo(Float32Array.from(samples), RATE);
}
const secondsOf = ({ first, last }: Run) => [first * FRAME_SECONDS, (last + 1) * FRAME_SECONDS];
const under = (db: number) => (run: Run) => run.peakDb < db;

describe('a tone that stands there before the player', () => {
  const track = tones([DRONE_HZ, -58, 0.6], [220, -30, 1], [DRONE_HZ, -58, 0.6]);

  it('is known by its pitch and its usual level', () => {
    const standing = standingTone(runsOf(track, asked), track, under(-40));
    expect(1200 * Math.log2((standing?.hz ?? 1) / DRONE_HZ)).toBeCloseTo(0, 0);
    expect(standing?.levelDb).toBeGreaterThan(-59.5);
    expect(standing?.levelDb).toBeLessThan(-56.5);
  });

  it('is none where it is as loud as a player, comes later, or is over at once', () => {
    expect(standingTone(runsOf(track, asked), track, under(-65))).toBeNull();
    const late = tones([0, 0, 0.4], [DRONE_HZ, -58, 0.6], [220, -30, 1]);
    expect(standingTone(runsOf(late, asked), late, under(-40))).toBeNull();
    const short = tones([DRONE_HZ, -58, 0.15], [0, 0, 0.2], [220, -30, 1]);
    expect(standingTone(runsOf(short, asked), short, under(-40))).toBeNull();
  });

  it('is parted from a note at its own pitch where only it is left', () => {
    const same = tones([DRONE_HZ, -58, 0.6], [DRONE_HZ, -30, 1], [DRONE_HZ, -58, 0.6]);
    const standing = { hz: DRONE_HZ, levelDb: -58 };
    const runs = runsOf(same, asked, standing).filter(({ first, last }) => last - first > 10);
    expect(runs).toHaveLength(3);
    expect(runs.map(({ hz, peakDb }) => isOfStanding(standing, hz, peakDb))).toEqual([true, false, true]);
    const [from, to] = secondsOf(runs[1]);
    expect(Math.abs(from - 0.6)).toBeLessThan(0.05);
    expect(Math.abs(to - 1.6)).toBeLessThan(0.05);
  });
});

it('parts what is asked for from what is not, and knows how far each was clear', () => {
  const track = tones([220, -30, 0.5], [247, -36, 0.5]);
  const runs = runsOf(track, (hz) => hz < 235).filter(({ first, last }) => last - first > 10);
  expect(runs.map(({ isAsked }) => isAsked)).toEqual([true, false]);
  for (const { last, lastClear, first } of runs) {
    expect(lastClear).toBeLessThanOrEqual(last);
    expect(lastClear).toBeGreaterThan(first + 30);
  }
  // Where one tone follows the other at once both are heard for a moment.
  expect(Math.abs(runs[0].peakDb - runs[1].peakDb - 6)).toBeLessThan(2);
});
