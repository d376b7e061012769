import { describe, expect, it } from 'vitest';
import { DEFAULT_SCALE, familyById, phraseExercise, scoreOf, type Choices } from '../exercise/index.ts';
import { headlineOf, type Statement } from '../headline/index.ts';
import { listenTo } from '../hearing/index.ts';
import { hornById, type HornId } from '../horn/index.ts';
import { median } from '../stats/index.ts';
import { playExercise, PROFILES, type ItemFault } from '../simulated/index.ts';
import { analyseTake } from './index.ts';

// Two fingerings of one note in eighths, heard as sound: when each change came, and what it did to the colour.

const RATE = 48000;

function alternated(hornId: HornId, choices: Choices, faults: readonly ItemFault[] = []) {
  const built = familyById('alternation')?.build(hornById(hornId), choices);
  if (!built) throw new Error('no family');
  const exercise = phraseExercise(built, 0);
  const context = { exercise, hornId, a4Hz: 440, scale: DEFAULT_SCALE };
  const { samples, items } = playExercise({
    ...context,
    profile: PROFILES.steady,
    faults,
    sampleRateHz: RATE,
    seed: 7,
    leadSeconds: 0.5,
    tailSeconds: 0.5,
  });
  const analysis = analyseTake(
    listenTo(samples, RATE),
    { ...context, toleranceId: 'usual', roomFloorDb: null, beatZeroSeconds: null },
    [],
  );
  if (!analysis) throw new Error('nothing heard');
  const count = scoreOf(exercise).length;
  const missed = Array.from({ length: count - 1 }, (_, i) => {
    const heard = analysis.items[i + 1];
    const offset = heard.kind === 'note' ? (heard.measures?.onsetOffsetMs ?? null) : null;
    const onset = items[i + 1].onsetSeconds;
    return offset === null || onset === null || heard.startSeconds === null
      ? null
      : 1000 * (heard.startSeconds - onset);
  });
  const { statements } = headlineOf([{ exercise, hornId, scale: DEFAULT_SCALE, analysis }]);
  const said = <Kind extends Statement['kind']>(kind: Kind) =>
    statements.find((each): each is Extract<Statement, { kind: Kind }> => each.kind === kind);
  return { analysis, errorsMs: missed, said };
}

describe('a change of the fingers alone', () => {
  it.each([
    ['alto', {}],
    ['soprano', { partial: 3, tempoBpm: 100 }],
    ['tenor', { tempoBpm: 120 }],
    ['baritone', { note: 58, partial: 3, tempoBpm: 80 }],
    ['sopranino', {}],
    ['cMelody', { tempoBpm: 72 }],
  ] as const)('is heard where it came, on the %s %o', (hornId, choices) => {
    const { errorsMs, said } = alternated(hornId, choices);
    const heard = errorsMs.flatMap((each) => each ?? []);
    expect(heard.length).toBeGreaterThanOrEqual(0.9 * errorsMs.length);
    expect(median(heard.map(Math.abs))).toBeLessThanOrEqual(20);
    expect(Math.max(...heard.map(Math.abs))).toBeLessThanOrEqual(60);
    expect(said('effect')?.db ?? 0).toBeGreaterThan(1);
    expect(said('evenWithin')?.ms ?? Infinity).toBeLessThanOrEqual(30);
  });

  it('is told as uneven by how late the late ones are', () => {
    const late = (seconds: number) =>
      alternated(
        'alto',
        {},
        [2, 6, 10, 14].map((item) => ({ item, kind: 'late', seconds })),
      ).said('evenWithin')?.ms ?? Infinity;
    expect(late(0.06)).toBeGreaterThan(30);
    expect(late(0.12)).toBeGreaterThan(late(0.06) + 30);
  });

  it('is not invented where one fingering sounds on', () => {
    const one = Array.from({ length: 17 }, (_, item): ItemFault => ({ item, kind: 'colour', at: 0.5 }));
    const { said, errorsMs } = alternated('alto', {}, one);
    expect(errorsMs.filter((each) => each !== null)).toHaveLength(0);
    expect(said('changesHeard')).toMatchObject({ heard: 0, of: 16 });
    expect(said('effect')).toBeUndefined();
  });

  it('tells a wider step of colour as a wider one', () => {
    const db = (dark: number) => {
      const faults = [1, 3, 5, 7, 9, 11, 13, 15].map((item): ItemFault => ({
        item,
        kind: 'colour',
        at: dark,
      }));
      return alternated('alto', {}, faults).said('effect')?.db ?? 0;
    };
    expect(db(0)).toBeGreaterThan(1.5 * db(0.3));
  });
});
