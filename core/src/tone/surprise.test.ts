import * as fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { createRandom } from '../signal/index.ts';
import { createSurprise, type SurpriseAnswer } from './surprise.ts';

const LOW = 138.6;
const STEP = 0.1;

/** Plays one pitch until the call comes, then what `after` sounds so many seconds after it; the answer, and when it was called. */
function played(after: (seconds: number) => number | null, seed = 1, before: number | null = 440) {
  const surprise = createSurprise(createRandom(seed), LOW);
  let calledAt: number | null = null;
  for (let i = 0; i < 2000; i++) {
    const now = i * STEP;
    const told = surprise.hear(now, calledAt === null ? before : after(now - calledAt));
    if (told === 'called') calledAt = now;
    else if (told) return { calledAt, answer: told, surprise };
  }
  return { calledAt, answer: null as SurpriseAnswer | null, surprise };
}

describe('a call to drop to the low note', () => {
  it('comes after twelve to forty seconds of playing, at a time drawn by chance', () => {
    const times = Array.from({ length: 30 }, (_, seed) => played(() => null, seed).calledAt ?? NaN);
    expect(Math.min(...times)).toBeGreaterThanOrEqual(12);
    expect(Math.max(...times)).toBeLessThanOrEqual(40.1);
    expect(new Set(times.map(Math.round)).size).toBeGreaterThan(10);
  });

  it('does not come in silence, nor while the low note sounds already', () => {
    expect(played(() => null, 1, null).calledAt).toBeNull();
    expect(played(() => null, 1, LOW * 1.01).calledAt).toBeNull();
  });

  it.each([
    ['the note at once', (s: number) => (s < 0.3 ? 440 : LOW), 1, 0.3],
    ['the note after a breath', (s: number) => (s < 0.5 ? 440 : s < 1.5 ? null : LOW * 0.99), 1, 1.5],
    ['its octave', (s: number) => (s < 0.2 ? 440 : 2 * LOW), 2, 0.2],
    ['its twelfth', (s: number) => (s < 0.2 ? 440 : 3 * LOW), 3, 0.2],
  ] as const)('hears %s', (_, after, partial, seconds) => {
    const { answer } = played(after);
    expect(answer?.partial).toBe(partial);
    expect(answer?.afterSeconds).toBeCloseTo(seconds, 0.5);
  });

  it('tells that nothing came after four seconds, whatever else was played', () => {
    expect(played(() => null).answer).toEqual({ partial: null, afterSeconds: null });
    expect(played(() => 440).answer).toEqual({ partial: null, afterSeconds: null });
    // A touch of it is no note.
    const touched = played((s) => (Math.round(s * 10) % 5 === 0 ? LOW : null));
    expect(touched.answer).toEqual({ partial: null, afterSeconds: null });
  });

  it('does not take what was played before the call for an answer, though it is a partial of the low note', () => {
    expect(played((s) => (s < 1 ? 3 * LOW : LOW), 1, 3 * LOW).answer).toMatchObject({ partial: 1 });
  });

  it('calls again and again, and never while one is open', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 1e6 }),
        fc.array(fc.boolean(), { minLength: 50, maxLength: 400 }),
        (seed, tones) => {
          const surprise = createSurprise(createRandom(seed), LOW);
          let isOpen = false;
          for (let i = 0; i < 1500; i++) {
            const told = surprise.hear(i * STEP, tones[i % tones.length] ? 440 : null);
            if (told === 'called') {
              expect(isOpen).toBe(false);
              isOpen = true;
            } else if (told) {
              expect(isOpen).toBe(true);
              isOpen = false;
            }
            expect(surprise.isCalled).toBe(isOpen);
          }
        },
      ),
      { numRuns: 30 },
    );
  });
});
