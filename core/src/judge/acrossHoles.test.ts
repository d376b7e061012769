import { describe, expect, it } from 'vitest';
import { FrameTrack, MAX_PARTIAL } from '../hearing/index.ts';
import { disturbances } from '../testing/index.ts';
import { additiveOnce } from '../testing/additiveSound.ts';
import { FAULT_ROWS, onlyWanted, runRow } from '../verdicts/index.ts';
import { acrossHoles } from './acrossHoles.ts';

const FRAMES = 100;
/** A hole of 20 ms in the middle of a second of frames: it reaches from frame 44 to 58. */
const HOLE = [{ timeSeconds: 0.5, lengthSeconds: 0.02 }];

/** A tone of this pitch (NaN: none) at each frame, at -30 dBFS; `dipDb` softer where the hole is. */
function toneOf(hz: (i: number) => number, dipDb = 5): FrameTrack {
  const columns = new FrameTrack(FRAMES).slice(0, FRAMES);
  for (let i = 0; i < FRAMES; i++) {
    columns.f0Hz[i] = hz(i);
    columns.levelDb[i] = -30 - (Math.abs(i - 51) < 4 ? dipDb : 0);
    columns.partialsDb.fill(columns.levelDb[i] - 6, i * MAX_PARTIAL, (i + 1) * MAX_PARTIAL);
  }
  return FrameTrack.from(columns);
}
const near = (i: number) => Math.abs(i - 51) < 6;
const pitches = (track: FrameTrack) => Array.from(track.columns.f0Hz, (hz) => Math.round(hz));

describe('across a hole of 20 ms', () => {
  it('pitch, level and partials of one tone go straight on', () => {
    const { columns } = acrossHoles(
      toneOf((i) => (near(i) ? 150 : 200)),
      HOLE,
    );
    expect(Array.from(columns.f0Hz, Math.round)).toEqual(Array(FRAMES).fill(200));
    for (let i = 0; i < FRAMES; i++) {
      expect(columns.levelDb[i]).toBeCloseTo(-30, 5);
      expect(columns.partialsDb[i * MAX_PARTIAL + 3]).toBeCloseTo(-36, 5);
    }
  });

  it('a tone whose pitch was lost in it has it again', () => {
    expect(
      pitches(
        acrossHoles(
          toneOf((i) => (near(i) ? NaN : 200)),
          HOLE,
        ),
      ),
    ).toEqual(Array(FRAMES).fill(200));
  });

  it('the last of a tone keeps the pitch that it had, and is no longer for it', () => {
    const heard = pitches(
      acrossHoles(
        toneOf((i) => (i > 54 ? NaN : near(i) ? 190 : 200)),
        HOLE,
      ),
    );
    expect(heard.slice(0, 55)).toEqual(Array(55).fill(200));
    expect(heard.slice(55).every(Number.isNaN)).toBe(true);
  });

  it('another tone after it, a click, a hole that the tongue made and a longer silence stay as they were heard', () => {
    const slur = toneOf((i) => (i < 51 ? 200 : 300));
    expect(pitches(acrossHoles(slur, HOLE))).toEqual(pitches(slur));
    const click = toneOf((i) => (near(i) ? 195 : 200), -3);
    expect(pitches(acrossHoles(click, HOLE))).toEqual(pitches(click));
    const inVibrato = toneOf((i) => 200 + Math.sin(i), 1.5);
    expect(pitches(acrossHoles(inVibrato, HOLE))).toEqual(pitches(inVibrato));
    const tongued = toneOf((i) => (near(i) ? NaN : 200), 9);
    expect(pitches(acrossHoles(tongued, HOLE))).toEqual(pitches(tongued));
    const silence = toneOf((i) => (near(i) ? NaN : 200), 60);
    const longer = [{ timeSeconds: 0.47, lengthSeconds: 0.1 }];
    expect(pitches(acrossHoles(silence, longer))).toEqual(pitches(silence));
  });
});

const toned = additiveOnce();
it('what is wrong is told across holes as without them', () => {
  const rows = FAULT_ROWS.filter((row, i) => i % 31 === 4 && !row.onlySimulated);
  const told = rows.filter((row) => {
    const { wrong } = runRow(onlyWanted(row), toned(row), 7, disturbances.holes());
    return wrong === null;
  });
  expect(rows.length).toBeGreaterThan(4);
  expect(told.length).toBeGreaterThanOrEqual(rows.length - 1);
});
