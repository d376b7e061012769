import { describe, expect, it } from 'vitest';
import { scoreOf } from '../exercise/index.ts';
import { FRAME_SECONDS, listenTo } from '../hearing/index.ts';
import { createRandom } from '../signal/index.ts';
import { levelNotes } from '../testing/levelNotes.ts';
import { falling, sineSum } from '../testing/sineSum.ts';
import { evenDips, withoutDips } from './withoutDips.ts';

const RATE = 24000;
const SECONDS = 6;

/** A held tone of a quiet room, changed by `gainDb` at a time in seconds; where it is silent, `besideHz` is heard 25 dB under. */
function held(gainDb: (seconds: number) => number, besideHz = 0) {
  const amplitudes = falling(8);
  const random = createRandom(5);
  return listenTo(
    Float32Array.from({ length: SECONDS * RATE }, (_, n) => {
      const seconds = n / RATE;
      const sounds = seconds > 0.5 && seconds < SECONDS - 0.5;
      const tone = sounds
        ? 10 ** (gainDb(seconds) / 20) * 0.05 * sineSum(amplitudes, 2 * Math.PI * 233 * seconds)
        : 0;
      const beside = besideHz > 0 ? 0.003 * sineSum(amplitudes, 2 * Math.PI * besideHz * seconds) : 0;
      return tone + beside + 1e-5 * random.normal();
    }),
    RATE,
  );
}

/** So many dB softer for 0.2 s, every `period` seconds from 1 s on; `shift` moves every other one. */
const dips =
  (byDb: number, period: number, shift = 0) =>
  (seconds: number) => {
    const count = Math.floor((seconds - 1) / period);
    if (seconds < 1) return 0;
    const since = seconds - 1 - count * period - (count % 2) * shift;
    return since >= 0 && since < 0.2 ? -byDb : 0;
  };

const score = (attack: 'slurred' | 'tongued' = 'slurred') => [
  ...scoreOf(
    levelNotes('f', [
      { writtenMidi: 67, lengthBeats: 4, attack: 'any' },
      { writtenMidi: 67, lengthBeats: 4, attack },
    ]),
  ),
];

describe('dips of an echo canceller', () => {
  it('are told where they come at even distances and come back, and by nothing else', () => {
    const found = evenDips(held(dips(10, 0.8)), score());
    expect(found.length).toBeGreaterThanOrEqual(4);
    found.forEach(({ first, last }, i) => {
      const seconds = first * FRAME_SECONDS;
      expect(Math.abs((seconds - 1) / 0.8 - Math.round((seconds - 1) / 0.8)) * 0.8, `dip ${i}`).toBeLessThan(
        0.04,
      );
      expect((last - first + 1) * FRAME_SECONDS).toBeGreaterThan(0.15);
    });
    // A steady tone, dips too shallow to matter, dips that come as they please, a tone that stays softer.
    expect(
      evenDips(
        held(() => 0),
        score(),
      ),
    ).toEqual([]);
    expect(evenDips(held(dips(2.5, 0.8)), score())).toEqual([]);
    expect(evenDips(held(dips(10, 0.8, 0.25)), score())).toEqual([]);
    expect(
      evenDips(
        held((seconds) => (seconds > 2.5 ? -10 : 0)),
        score(),
      ),
    ).toEqual([]);
  });

  it('are the player’s own where a note is begun anew on its pitch', () => {
    expect(evenDips(held(dips(10, 0.8)), score('tongued'))).toEqual([]);
  });

  it('are none where somebody else is heard in them', () => {
    expect(evenDips(held(dips(60, 0.8), 311), score())).toEqual([]);
  });

  it('are filled in: the level goes straight on, and nothing else changes', () => {
    const track = held(dips(10, 0.8));
    const found = evenDips(track, score());
    const filled = withoutDips(track, found);
    const [before] = found;
    const beside = track.columns.levelDb[before.first - 3];
    for (const { first, last } of found)
      for (let i = first; i <= last; i++)
        expect(Math.abs(filled.columns.levelDb[i] - beside), `frame ${i}`).toBeLessThan(2.5);
    const inside = new Set(
      found.flatMap(({ first, last }) => Array.from({ length: last - first + 1 }, (_, i) => first + i)),
    );
    for (let i = 0; i < track.count; i++) {
      if (!inside.has(i)) expect(filled.columns.levelDb[i]).toBe(track.columns.levelDb[i]);
      expect(filled.columns.f0Hz[i]).toEqual(track.columns.f0Hz[i]);
    }
    expect(withoutDips(track, [])).toBe(track);
  });
});
