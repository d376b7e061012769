import { describe, expect, it } from 'vitest';
import { FrameTrack } from '../hearing/index.ts';
import { additiveOnce } from '../testing/additiveSound.ts';
import { room, type Disturb } from '../testing/disturbances.ts';
import { FAULT_ROWS, runRow } from '../verdicts/index.ts';
import { dipAtSlurMs } from './dipAtSlur.ts';

const LENGTH = 200;
const CHANGE = 100;
const [BEFORE, AFTER] = [
  { first: 10, last: CHANGE - 1 },
  { first: CHANGE, last: LENGTH - 1 },
];

/** Two seconds of level by the seconds from the change of the notes. */
function track(levelDb: (seconds: number) => number): FrameTrack {
  const frames = new FrameTrack(LENGTH);
  for (let i = 0; i < LENGTH; i++) frames.append(220, 1, levelDb((i - CHANGE) / 100), 3, -30);
  return frames;
}

const within = (seconds: number, from: number, to: number) => seconds >= from && seconds < to;
const none = new Uint8Array(LENGTH);
const masked = new Uint8Array(LENGTH).fill(1, CHANGE - 12, CHANGE);

describe('how long the sound sank at a slur', () => {
  it.each<[what: string, ms: number, level: (seconds: number) => number, mask?: Uint8Array]>([
    ['it goes on', 0, () => -30],
    ['a hole that the room half fills', 120, (s) => (within(s, -0.12, 0) ? -37 : -30)],
    ['the same, frames of which tell nothing', 0, (s) => (within(s, -0.12, 0) ? -37 : -30), masked],
    ['a hole after the change is heard', 100, (s) => (within(s, 0.01, 0.11) ? -36 : -30)],
    ['an echo takes it off for a moment', 0, (s) => (within(s, -0.03, 0.01) ? -38 : -30)],
    ['echoes take a little off for long', 0, (s) => (within(s, -0.15, 0.1) ? -31.9 : -30)],
    ['a softer note after it', 0, (s) => (s < 0 ? -30 : -42)],
    ['a louder note after it', 0, (s) => (s < 0 ? -42 : -30)],
    ['a fade into it and a swell out of it', 0, (s) => -30 - 10 + Math.min(10, 20 * Math.abs(s))],
    ['a hole long before', 0, (s) => (within(s, -0.6, -0.4) ? -50 : -30)],
  ])('%s: %i ms', (_, ms, level, mask = none) => {
    expect(dipAtSlurMs(track(level), BEFORE, AFTER, mask)).toBeCloseTo(ms, 6);
  });

  it('asks for a level on both sides', () => {
    expect(
      dipAtSlurMs(
        track((s) => (s < 0 ? -60 : -30)),
        BEFORE,
        { first: CHANGE, last: CHANGE + 3 },
        none,
      ),
    ).toBe(0);
  });
});

describe('a hole at a slur', () => {
  const toned = additiveOnce();
  const rows = FAULT_ROWS.filter(({ played }) => played === 'a hole at the slur');
  const named = (disturb: Disturb) =>
    rows.filter((row) => runRow(row, toned(row), 7, disturb).wrong === null);

  it.each<[place: string, disturb: Disturb, least: number]>([
    ['a small room', room(0.35, 4), rows.length],
    ['a live room', room(0.9, 1), 0.4 * rows.length],
    ['a hall', room(1.8, 6), 0.6 * rows.length],
  ])('is named in %s', (_, disturb, least) => {
    expect(rows.length).toBeGreaterThan(3);
    expect(named(disturb).length).toBeGreaterThanOrEqual(least);
  });
});
