import { describe, expect, it } from 'vitest';
import { all, autoGain, ducking, hiss, room, speech, type Disturb } from '../testing/disturbances.ts';
import { CLEAN_ROWS, FAULT_ROWS, runRow, type VerdictRow } from '../verdicts/index.ts';
import { isNeutral, type TakeAnalysis } from './index.ts';

/** No microphone is without a noise of its own. */
const noisy = (disturb: Disturb) => all(hiss(40), disturb);
const CLEAN = CLEAN_ROWS.filter((_row, i) => i % 15 === 3);
const run = (row: VerdictRow, disturb: Disturb) => runRow(row, 'additive', 7, disturb);
const blamedIn = (analysis: TakeAnalysis | null) =>
  analysis?.items.flatMap(({ verdict }) => verdict?.findings.filter((each) => !isNeutral(each)) ?? []) ?? [];

describe('a level that was worked on', () => {
  it.each([
    ['a microphone alone', hiss(40)],
    ['speech', noisy(speech(25))],
    ['a live room', all(room(0.9, 1), hiss(40))],
  ])('is not what %s makes of clean playing', (_, disturb) => {
    for (const row of CLEAN) {
      const { analysis } = run(row, disturb);
      expect(analysis?.processing, `${row.hornId} ${row.family}`).toBeUndefined();
      expect(analysis?.notJudged).toEqual([]);
    }
  });

  it('is told from dips at even distances, and then nothing is said of how loud it was', () => {
    const told = CLEAN.filter((row) => {
      const { analysis } = run(row, noisy(ducking()));
      if (analysis?.processing !== 'ducking') return false;
      expect(blamedIn(analysis), `${row.hornId} ${row.family}`).toEqual([]);
      expect(analysis.notJudged).toEqual(['dynamics']);
      expect(analysis.measures).toMatchObject({ levelDb: null, swellErrorDb: null, dynamicSpanDb: null });
      expect(analysis.measures.centsMean).not.toBeNull();
      return true;
    });
    expect(told.length).toBeGreaterThan(0.7 * CLEAN.length);
  });

  it('is told from a floor that rises by itself after a tone', () => {
    const told = CLEAN.filter((row) => {
      const { analysis } = run(row, noisy(autoGain()));
      if (analysis?.processing !== 'gain') return false;
      expect(blamedIn(analysis), `${row.hornId} ${row.family}`).toEqual([]);
      return true;
    });
    expect(told.length).toBeGreaterThan(0.5 * CLEAN.length);
  });

  it('leaves what is not of its level to be told', () => {
    // How a soft start is made is told by its level too.
    const LEVEL = /evel|ardly|stair|place|peak|step|Full|weak|byTongue/;
    const faulty = FAULT_ROWS.filter(({ wanted }) => !LEVEL.test(JSON.stringify(wanted))).filter(
      (_row, i) => i % 23 === 4,
    );
    expect(faulty.length).toBeGreaterThan(4);
    const lost = faulty.flatMap(({ only: _only, never: _never, ...row }) => {
      const { wrong, said } = run(row, noisy(ducking()));
      return wrong === null ? [] : [`${row.hornId} ${row.family}, ${row.played}: ${said}`];
    });
    expect(lost).toHaveLength(0);
  });
});
