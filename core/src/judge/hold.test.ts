import { describe, expect, it } from 'vitest';
import { FrameTrack } from '../hearing/index.ts';
import { measureHold, type HoldInput } from './hold.ts';

interface Frame {
  cents?: number;
  levelDb?: number;
  noiseToHarmonicDb?: number;
}

/** Six seconds of A3 with something happening to it, held against a steady -30 dBFS. */
function hold(frame: (seconds: number) => Frame, change: Partial<HoldInput> = {}) {
  const track = new FrameTrack();
  for (let i = 0; i < 600; i++) {
    const { cents = 0, levelDb = -30, noiseToHarmonicDb = -30 } = frame(i / 100);
    track.append(220 * 2 ** (cents / 1200), 1, levelDb, 3, noiseToHarmonicDb);
  }
  return measureHold({
    track,
    span: { first: 0, last: 599 },
    target: { targetHz: 220, tubeHz: 220, partial: 1 },
    masked: new Uint8Array(600),
    isSwell: false,
    pitchBandCents: 10,
    levelBandDb: 2.5,
    wantedDbAt: () => -30,
    slips: [],
    gaps: [],
    ...change,
  });
}

describe('a steady tone holds until', () => {
  it('its end, where nothing fails', () => {
    expect(hold(() => ({}))).toEqual({ seconds: 6, cause: 'completed' });
  });

  it('pitch leaves its own median, however far that was from the target', () => {
    expect(hold(() => ({ cents: 35 })).cause).toBe('completed');
    const held = hold((seconds) => ({ cents: seconds < 4 ? 35 : 50 }));
    expect(held.cause).toBe('pitch');
    expect(held.seconds).toBeCloseTo(4, 1);
  });

  it('level leaves the line, for as long as a moment lasts', () => {
    expect(hold((seconds) => ({ levelDb: seconds > 3 ? -33.5 : -30 }))).toMatchObject({ cause: 'level' });
    expect(hold((seconds) => ({ levelDb: seconds > 3 && seconds < 3.2 ? -36 : -30 })).cause).toBe(
      'completed',
    );
  });

  it('breath rises 8 dB', () => {
    const held = hold((seconds) => ({ noiseToHarmonicDb: seconds > 2.5 ? -21 : -30 }));
    expect(held.cause).toBe('breath');
    expect(held.seconds).toBeCloseTo(2.5, 1);
    expect(hold((seconds) => ({ noiseToHarmonicDb: seconds > 2.5 ? -24 : -30 })).cause).toBe('completed');
  });

  it('it jumps, and whatever comes first', () => {
    const slips = [{ type: 'jump' as const, timeSeconds: 3, lengthSeconds: 0.4, from: 1, to: 2 }];
    expect(hold(() => ({}), { slips })).toEqual({ seconds: 3, cause: 'partial' });
    expect(hold((seconds) => ({ cents: seconds > 1.5 ? 14 : 0 }), { slips }).cause).toBe('pitch');
    expect(hold(() => ({}), { slips: [{ ...slips[0], type: 'crack' }] }).cause).toBe('completed');
  });
});

describe('a swell holds until', () => {
  const swell = { isSwell: true } as const;

  it('level is off by twice the band, not by once', () => {
    expect(hold((seconds) => ({ levelDb: seconds > 3 ? -34 : -30 }), swell).cause).toBe('completed');
    expect(hold((seconds) => ({ levelDb: seconds > 3 ? -36 : -30 }), swell).cause).toBe('level');
  });

  it('the tone has a gap; its pitch and breath may move', () => {
    expect(
      hold((seconds) => ({ cents: -5 * seconds, noiseToHarmonicDb: -30 + 4 * seconds }), swell).cause,
    ).toBe('completed');
    expect(hold(() => ({}), { ...swell, gaps: [{ timeSeconds: 2, lengthSeconds: 0.06 }] })).toEqual({
      seconds: 2,
      cause: 'gap',
    });
  });
});
