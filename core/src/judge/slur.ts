import { columnValue, FRAME_SECONDS, type FrameTrack } from '../hearing/index.ts';
import { median } from '../stats/index.ts';
import { findGaps, type ToneSpan } from '../tone/index.ts';
import { dipAtSlurMs } from './dipAtSlur.ts';

const NEAR_CENTS = 20;
/** The old pitch is read in the last 0.35 s, the new one in 0.6 s, which may begin with a slide. */
const OLD_FRAMES = Math.round(0.35 / FRAME_SECONDS);
const NEW_FRAMES = Math.round(0.6 / FRAME_SECONDS);
const EDGE_FRAMES = Math.round(0.05 / FRAME_SECONDS);
const STAYS_FRAMES = Math.round(0.1 / FRAME_SECONDS);
const OVERSHOOT_FRAMES = Math.round(0.3 / FRAME_SECONDS);
/** Farther off it is a slip to another note. */
const MOST_OVERSHOOT_CENTS = 100;
/** Under this an excursion is what any tone does. */
const LEAST_OVERSHOOT_CENTS = 5;

export interface Slur {
  slurMs: number | null;
  overshootCents: number | null;
  /** Hole in the sound; 0 where there is none. */
  gapMs: number;
}

/**
 * From one note to the next without a new start. slurMs: from leaving the old pitch by 20 cents to staying within 20
 * cents of the new one, read between frames; null where there is a hole in the sound. overshootCents: how far the pitch
 * goes past the new one in the 300 ms after it first reaches it, in the direction of the change. gapMs: holes in the
 * sound within 0.3 s of the change; where the room rings (`rings`), how long its level sank there (`dipAtSlurMs`). The window of the pitch (up to 85 ms on low notes) widens a change: see `npm run bench`.
 */
export function measureSlur(
  track: FrameTrack,
  before: ToneSpan,
  after: ToneSpan,
  masked: Uint8Array,
  rings = false,
): Slur {
  const cents = (i: number) => {
    const hz = columnValue(track.columns.f0Hz, i);
    return hz === null ? null : 1200 * Math.log2(hz);
  };
  const pitchOf = (from: number, to: number) => {
    const values = Array.from({ length: Math.max(0, to - from) }, (_, i) => cents(from + i)).filter(
      (value) => value !== null,
    );
    return median(values);
  };
  const old = pitchOf(Math.max(before.first, before.last - OLD_FRAMES), before.last - EDGE_FRAMES);
  const fresh = pitchOf(after.first + 3 * EDGE_FRAMES, Math.min(after.last, after.first + NEW_FRAMES));
  const near = Math.round(0.3 / FRAME_SECONDS);
  const around = {
    first: Math.max(before.first, before.last - near),
    last: Math.min(after.last, after.first + near),
  };
  // Where two tones ring over each other pitch is lost without a hole.
  const gapMs = rings
    ? dipAtSlurMs(track, before, after, masked)
    : 1000 * findGaps(track, around, masked).reduce((sum, { lengthSeconds }) => sum + lengthSeconds, 0);
  if (old === null || fresh === null || old === fresh) return { slurMs: null, overshootCents: null, gapMs };

  const way = Math.sign(fresh - old);
  // Share of the way done: 0 on the old pitch, in cents.
  const gone = (i: number) => {
    const here = cents(i);
    return here === null ? null : way * (here - old);
  };
  const whole = Math.abs(fresh - old);
  const middle = Math.round((before.last + after.first) / 2);
  const left = lastNear();
  const arrives = lastOutside();
  const slurMs =
    gapMs > 0 || left === null || arrives === null
      ? null
      : Math.max(0, 1000 * FRAME_SECONDS * (arrives - left));
  let most = 0;
  for (let i = middle; i < Math.min(after.last, after.first + OVERSHOOT_FRAMES); i++) {
    const here = gone(i);
    const beside = [gone(i - 1), gone(i + 1)];
    // A single frame is chance.
    if (here !== null && beside.every((value) => value !== null && Math.abs(value - here) < NEAR_CENTS))
      if (here - whole < MOST_OVERSHOOT_CENTS) most = Math.max(most, here - whole);
  }
  return { slurMs, overshootCents: most < LEAST_OVERSHOOT_CENTS ? 0 : most, gapMs };

  /** Where the old pitch was last within 20 cents. */
  function lastNear(): number | null {
    for (let i = middle; i >= before.first; i--) {
      const here = gone(i);
      if (here === null || here > NEAR_CENTS) continue;
      const next = gone(i + 1);
      return next === null || next <= here ? i : i + Math.min(1, (NEAR_CENTS - here) / (next - here));
    }
    return null;
  }

  /** Where the pitch enters the 20 cents around the new note and then stays for 100 ms. */
  function lastOutside(): number | null {
    let run = 0;
    for (let i = middle - STAYS_FRAMES; i <= Math.min(after.last, after.first + 2 * OVERSHOOT_FRAMES); i++) {
      const here = gone(i);
      run = here !== null && Math.abs(here - whole) <= NEAR_CENTS ? run + 1 : 0;
      if (run < STAYS_FRAMES) continue;
      const enters = i - run + 1;
      const [out, inside] = [gone(enters - 1), gone(enters)];
      if (out === null || inside === null) return enters;
      const edge = out < whole ? whole - NEAR_CENTS : whole + NEAR_CENTS;
      return enters - 1 + (edge - out) / (inside - out);
    }
    return null;
  }
}
