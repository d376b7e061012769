import { expect, it } from 'vitest';
import { DEFAULT_SCALE, familyById, phraseExercise } from '../exercise/index.ts';
import { hornById, HORN_IDS, type HornId } from '../horn/index.ts';
import { PROFILES, type ItemFault } from '../simulated/index.ts';
import { createStage } from '../testing/performed.ts';
import { analyseTake } from './index.ts';

const RATE = 24000;
const stage = createStage(Number(process.env.SEED ?? 1));

/** Straight, slow and usual vibrato on one note, as it was heard. */
function swung(hornId: HornId, midi: number, faults: ItemFault[], seed: number) {
  const built = familyById('vibratoTones')?.build(hornById(hornId), { note: midi, start: 'countIn' });
  if (!built) throw new Error('no family');
  const exercise = phraseExercise(built, 0);
  const context = { exercise, hornId, a4Hz: 440, scale: DEFAULT_SCALE };
  const { track, beatZeroSeconds } = stage.perform({
    ...context,
    profile: { ...PROFILES.steady, jitterCents: 1 },
    faults,
    sampleRateHz: RATE,
    seed,
    leadSeconds: 0.8,
    tailSeconds: 0.8,
  });
  const judged = { ...context, toleranceId: 'usual' as const, roomFloorDb: null, beatZeroSeconds };
  return (analyseTake(track, judged, [])?.items ?? []).map((item) => (item.kind === 'note' ? item : null));
}

it('knows a written vibrato by its rate and width, and says what is wrong with one', () => {
  const named: Record<string, number> = {};
  HORN_IDS.forEach((hornId, i) => {
    const midi = [60, 67, 74, 82][i];
    const [off, slow, normal] = swung(hornId, midi, [], 3 + i);
    for (const item of [off, slow, normal])
      expect(item?.verdict?.findings[0].kind, `${hornId} ${item?.item}`).toMatch(/^(even|vibrato)$/);
    // The simulated player's own: 3.2 Hz and 22 cents, 5.2 Hz and 20 cents, opening over 0.3 s.
    expect(slow?.measures?.vibratoHz).toBeCloseTo(3.2, 0.8);
    expect(slow?.measures?.vibratoCents).toBeGreaterThan(18);
    expect(normal?.measures?.vibratoHz).toBeCloseTo(5.2, 0.8);
    expect(normal?.measures?.vibratoCents).toBeGreaterThan(16);
    expect(Math.min(...[slow, normal].map((item) => item?.measures?.vibratoRegularity ?? 0))).toBeGreaterThan(
      0.8,
    );

    const wrong = (item: number, rateHz: number, widthCents: number) =>
      swung(hornId, midi, [{ item, kind: 'vibrato', rateHz, widthCents }], 9 + i)[
        item
      ]?.verdict?.findings.map(({ kind }) => kind);
    for (const [item, hz, cents, kind] of [
      [0, 5.5, 25, 'vibratoThere'],
      [1, 0, 0, 'vibratoMissing'],
      [1, 6, 25, 'vibratoFast'],
      [2, 3, 25, 'vibratoSlow'],
    ] as const) {
      expect(wrong(item, hz, cents), `${hornId} ${kind}`).toContain(kind);
      named[kind] = (named[kind] ?? 0) + 1;
    }
  });
  console.info(`vibrato mistakes named: ${JSON.stringify(named)}`);
});
